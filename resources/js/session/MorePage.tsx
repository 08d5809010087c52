import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { Page, Sheet } from '../ui/Page';
import { SchemeSwitch } from './Frame';
import { SignOut } from './SignOut';
import { useSession } from './useSession';
import { words } from './words';

/** What does not fit the bar in hand. */
export default function MorePage() {
    const { user, session } = useSession();
    return (
        <Page title={words.more}>
            <Sheet title={words.stagesOfTheWork}>
                <Box sx={{ display: 'grid', gap: 2 }}>
                    <Button component={Link} to="/assess">
                        {words.assessWhatTheSiteNeeds}
                    </Button>
                    <Button component={Link} to="/kits">
                        {words.packKitsByPlace}
                    </Button>
                    <Button component={Link} to="/lists">
                        {words.lists}
                    </Button>
                    <Button component={Link} to="/items">
                        {words.items}
                    </Button>
                    <Button component={Link} to="/exchange">
                        {words.importAndExport}
                    </Button>
                    <Button component={Link} to="/settings">
                        {words.settings}
                    </Button>
                </Box>
            </Sheet>
            <Sheet title={user?.name}>
                <Box sx={{ color: 'text.secondary', mb: 2 }}>
                    {words.signedInAs}
                    {user?.role} at {session?.organisation}
                </Box>
                <SchemeSwitch />
                <SignOut />
            </Sheet>
        </Page>
    );
}
