import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { words } from './words';

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
            <strong>{words.aStartingPointNotLaw}</strong>
            {words.manyWorkplacesStartFromThese}
        </Notice>
    );
}
