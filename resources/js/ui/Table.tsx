import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** A dense table; cells of class `n` are figures, those of class `wide` are left out in hand. */
export function Table({ children }: { children: ReactNode }) {
    return (
        <Box
            component="table"
            sx={{
                width: '100%',
                borderCollapse: 'collapse',
                fontSize: 14,
                '& td, & th': {
                    textAlign: 'left',
                    verticalAlign: 'top',
                    p: '6px 12px 6px 0',
                    borderTop: 1,
                    borderColor: 'divider',
                },
                '& thead th': { verticalAlign: 'bottom' },
                '& .n': { textAlign: 'right', whiteSpace: 'nowrap' },
                '& .wide': { display: { xs: 'none', md: 'table-cell' } },
            }}
        >
            {children}
        </Box>
    );
}
