import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { type ReactNode } from 'react';
import { words } from './words';

/** Where somebody stands who is not signed in: the mark, what this is, and one thing to do. */
export function Doorway({ title, about, children }: { title: string; about?: ReactNode; children: ReactNode }) {
    return (
        <Box
            component="main"
            sx={{ minHeight: '100dvh', display: 'grid', justifyItems: 'center', p: { xs: 4, md: 10 } }}
        >
            <Box sx={{ display: 'grid', alignContent: 'start', gap: 5, maxWidth: 640, width: '100%', minWidth: 0 }}>
                <Box sx={{ display: 'flex', gap: 3, alignItems: 'center' }}>
                    <Box component="img" src="/mark.svg" alt="" sx={{ width: 40 }} />
                    <Typography sx={{ fontWeight: 700 }}>{words.sarcina}</Typography>
                </Box>
                <Typography variant="h1">{title}</Typography>
                {about && <Typography sx={{ color: 'text.secondary' }}>{about}</Typography>}
                {children}
            </Box>
        </Box>
    );
}
