import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Two parts of a screen side by side at the desk, one below the other in hand. */
export function TwoColumns({ children, widths = '1fr 1fr' }: { children: ReactNode; widths?: string }) {
    const columns = widths.split(' ').map((width) => `minmax(0, ${width})`);
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 4,
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: columns.join(' ') },
                alignItems: 'start',
            }}
        >
            {children}
        </Box>
    );
}
