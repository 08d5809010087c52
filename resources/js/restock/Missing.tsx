import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Sheet } from '../ui/Page';
import { words } from './words';

/** What the kit wants and the store lacks. */
export function Missing({ missing }: { missing: Schemas['MissingResource'][] }) {
    return (
        missing.length > 0 && (
            <Box sx={{ mt: 4 }}>
                <Sheet title={words.outOfStock}>
                    <Box component="ul" sx={{ m: 0, pl: 5 }}>
                        {missing.map((row) => (
                            <li key={`${row.line ?? ''} ${row.what}`}>
                                {row.quantity} × {row.what}
                            </li>
                        ))}
                    </Box>
                    <Typography variant="body2" sx={{ color: 'text.secondary', mt: 2 }}>
                        {words.toBeBoughtTheKits}
                    </Typography>
                </Sheet>
            </Box>
        )
    );
}
