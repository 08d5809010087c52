import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { whenSignedOut } from '../api/client';
import { questions } from '../api/queries';
import { Waiting } from '../ui/Page';
import { SignInForm } from './SignInForm';
import { words } from './words';

/** Shows the page to who is signed in. Where a session ends while somebody works, they sign in over their work, which stays. */
export function SessionGate({ children }: { children: ReactNode }) {
    const session = useQuery(questions.session());
    const [ended, setEnded] = useState(false);
    useEffect(() => whenSignedOut(() => setEnded(true)), []);
    if (!session.data) {
        return <Waiting error={session.error} />;
    }
    if (!session.data.user) {
        return <SignInPage organisation={session.data.organisation} />;
    }
    return (
        <>
            {children}
            <Dialog open={ended} fullWidth maxWidth="xs" aria-labelledby="ended">
                <DialogTitle id="ended">{words.theSessionHasEnded}</DialogTitle>
                <DialogContent sx={{ display: 'grid', gap: 4 }}>
                    <Typography>{words.signInAgainToContinue}</Typography>
                    <SignInForm email={session.data.user.email} onDone={() => setEnded(false)} />
                </DialogContent>
            </Dialog>
        </>
    );
}

function SignInPage({ organisation }: { organisation: string }) {
    useEffect(() => {
        document.title = words.signInSarcina;
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
