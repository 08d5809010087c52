import Box from '@mui/material/Box';
import { Link } from 'react-router';

/** A kit by its code and name, in a list. */
export function KitLink({ code, name }: { code: string; name: string }) {
    return (
        <Box
            component={Link}
            to={`/kits/${code}`}
            sx={{
                color: 'primary.main',
                fontWeight: 700,
                textDecoration: 'none',
                '&:hover': { textDecoration: 'underline' },
            }}
        >
            {code} {name}
        </Box>
    );
}
