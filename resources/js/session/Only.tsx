import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Page } from '../ui/Page';
import { useSession } from './useSession';
import { words } from './words';

/** Shows a screen to those who may use it, and tells others that they may not. */
export function Only({ ability, children }: { ability: string; children: ReactNode }) {
    const { user, may } = useSession();
    if (user === null || may(ability)) {
        return children;
    }
    return (
        <Page title={words.notForYourRole}>
            <Typography>
                {words.askALead}{' '}
                <Link to="/" style={{ color: 'inherit' }}>
                    {words.backToToday}
                </Link>
            </Typography>
        </Page>
    );
}
