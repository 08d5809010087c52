import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { Page } from '../ui/Page';

export default function NotFoundPage() {
    return (
        <Page title="There is no such page">
            <Typography sx={{ mb: 4 }}>
                The address may be mistyped, or what it named was renamed. Use the finder, or go back to today's work.
            </Typography>
            <Button component={Link} to="/" variant="contained">
                To Today
            </Button>
        </Page>
    );
}
