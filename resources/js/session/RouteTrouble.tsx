import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useRouteError } from 'react-router';
import { Page, Sheet } from '../ui/Page';
import { words } from './words';

/** How browsers say that a part of the page is not there any more: a newer page was built since it was opened. */
const PART_IS_GONE = /dynamically imported module|module script|Importing a module|Unable to preload/i;

/** A screen that cannot be shown says so, and leaves the rest of the page as it is. */
export function RouteTrouble() {
    const error = useRouteError();
    const message = error instanceof Error ? error.message : String(error);
    const isOld = PART_IS_GONE.test(message);
    return (
        <Page title={isOld ? words.aNewerPageIsThere : words.thisScreenFailed}>
            <Sheet>
                <Typography sx={{ mb: 3 }}>{isOld ? words.loadItAnew : words.tryItAnew}</Typography>
                {!isOld && (
                    <Typography variant="body2" sx={{ mb: 3, color: 'text.secondary' }}>
                        {message}
                    </Typography>
                )}
                <Button variant="contained" onClick={() => window.location.reload()}>
                    {words.loadThePageAgain}
                </Button>{' '}
                <Button component={Link} to="/">
                    {words.toToday}
                </Button>
            </Sheet>
        </Page>
    );
}
