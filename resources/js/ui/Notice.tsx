import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** Something to be kept in mind beside what is shown: an ochre edge, and words. */
export function Notice({ children }: { children: ReactNode }) {
    return (
        <Box
            sx={{
                border: 1,
                borderLeft: 6,
                borderColor: 'divider',
                borderLeftColor: 'ochre',
                borderRadius: '6px',
                p: 3,
                mb: 4,
                fontSize: 14,
                bgcolor: 'background.paper',
            }}
        >
            {children}
        </Box>
    );
}

/** What every recommended figure rests on, and who decides. */
export function Deference() {
    return (
        <Notice>
            <strong>A starting point, not law.</strong> Many workplaces start from these figures. Your own regulator and
            your risk assessment decide how many kits a place needs and what they hold.
        </Notice>
    );
}
