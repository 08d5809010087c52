import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Fields that belong together, with what they are about. */
export function Group({ legend, children }: { legend: string; children: ReactNode }) {
    return (
        <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, minWidth: 0 }}>
            <Box component="legend" sx={{ fontWeight: 700, p: 0, pt: 2 }}>
                {legend}
            </Box>
            {children}
        </Box>
    );
}
