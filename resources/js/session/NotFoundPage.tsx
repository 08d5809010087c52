import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { Page } from '../ui/Page';
import { words } from './words';

export default function NotFoundPage() {
    return (
        <Page title={words.thereIsNoSuchPage}>
            <Typography sx={{ mb: 4 }}>{words.theAddressMayBeMistyped}</Typography>
            <Button component={Link} to="/" variant="contained">
                {words.toToday}
            </Button>
        </Page>
    );
}
