import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { Page, Sheet } from '../ui/Page';
import { SchemeSwitch } from './Frame';
import { useSession, useSignOut } from './useSession';

/** What does not fit the bar in hand. */
export default function MorePage() {
    const { user, session } = useSession();
    const signOut = useSignOut();
    return (
        <Page title="More">
            <Sheet title="Stages of the work">
                <Box sx={{ display: 'grid', gap: 2 }}>
                    <Button component={Link} to="/assess">
                        Assess: what the site needs
                    </Button>
                    <Button component={Link} to="/kits">
                        Pack: kits by place
                    </Button>
                    <Button component={Link} to="/lists">
                        Lists
                    </Button>
                    <Button component={Link} to="/items">
                        Items
                    </Button>
                    <Button component={Link} to="/exchange">
                        Import and export
                    </Button>
                    <Button component={Link} to="/settings">
                        Settings
                    </Button>
                </Box>
            </Sheet>
            <Sheet title={user?.name}>
                <Box sx={{ color: 'text.secondary', mb: 2 }}>
                    Signed in as {user?.role} at {session?.organisation}
                </Box>
                <SchemeSwitch />
                <Button onClick={() => void signOut()}>Sign out</Button>
            </Sheet>
        </Page>
    );
}
