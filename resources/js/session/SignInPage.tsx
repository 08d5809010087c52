import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { device } from '../offline/device';
import { ClosedWork } from './ClosedWork';
import { forgetCopies } from './session';
import { SignInForm } from './SignInForm';
import { words } from './words';

/** Whose kits these are, and the fields to sign in. */
export default function SignInPage({ organisation }: { organisation: string }) {
    useEffect(() => {
        document.title = words.signInSarcina;
        void device.end();
        void forgetCopies();
    }, []);
    return (
        <Box component="main" sx={{ minHeight: '100dvh', display: 'grid', gridTemplateColumns: { md: '1fr 1fr' } }}>
            <Box
                sx={{
                    display: 'grid',
                    alignContent: 'center',
                    p: { xs: 6, md: 16 },
                    gap: 6,
                    maxWidth: 560,
                    width: '100%',
                    justifySelf: 'center',
                }}
            >
                <Box sx={{ display: 'flex', gap: 3, alignItems: 'center' }}>
                    <Box component="img" src="/mark.svg" alt="" sx={{ width: 44 }} />
                    <Typography variant="h1">{words.sarcina}</Typography>
                </Box>
                <Typography sx={{ color: 'text.secondary' }}>
                    {words.theKitsOf}
                    {organisation}
                    {words.whatIsInThemWhether}
                </Typography>
                <SignInForm />
                <ClosedWork />
            </Box>
            <Box
                aria-hidden
                sx={{
                    display: { xs: 'none', md: 'grid' },
                    bgcolor: 'canvas',
                    borderLeft: 1,
                    borderColor: 'divider',
                    gridTemplateColumns: 'repeat(3, 1fr)',
                    gridAutoRows: '1fr',
                    gap: 3,
                    p: 10,
                }}
            >
                {[2, 1, 1, 2, 1, 2, 3].map((span, index) => (
                    <Box
                        key={index}
                        sx={{
                            gridColumn: `span ${span}`,
                            bgcolor: 'background.paper',
                            border: 1,
                            borderColor: 'divider',
                            borderTop: 5,
                            borderTopColor: 'ochre',
                            borderRadius: '6px 6px 16px 16px',
                        }}
                    />
                ))}
            </Box>
        </Box>
    );
}
