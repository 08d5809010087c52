import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState, type ReactNode } from 'react';
import { api, ask, whenSignedOut } from '../api/client';
import { device } from '../offline/device';
import { takeOver } from '../offline/former';
import { Waiting } from '../ui/Page';
import { ClosedWork } from './ClosedWork';
import { forgetCopies, sessionQuestion } from './session';
import { words } from './words';

/** Who is signed in already does not wait for its fields. */
const SignInForm = lazy(() => import('./SignInForm').then((part) => ({ default: part.SignInForm })));

const SetupPage = lazy(() => import('../settings/SetupPage'));
const WelcomePage = lazy(() => import('../settings/WelcomePage'));

/** Shows the page to who is signed in. Where a session ends while somebody works, they sign in over their work, which stays. */
export function SessionGate({ children }: { children: ReactNode }) {
    const session = useQuery(sessionQuestion());
    const [ended, setEnded] = useState(false);
    const user = session.data?.user ?? null;
    const isOpen = useOpenDevice(user, ended);
    useEffect(
        () =>
            whenSignedOut(() => {
                setEnded(true);
                void device.expire();
                void forgetCopies();
            }),
        [],
    );
    const invited = /^\/welcome\/([\w-]{10,60})$/.exec(window.location.pathname)?.[1];
    if (invited) {
        return (
            <Suspense fallback={null}>
                <WelcomePage secret={invited} />
            </Suspense>
        );
    }
    if (!session.data) {
        return <Waiting error={session.error} />;
    }
    if (session.data.needs_setup) {
        return (
            <Suspense fallback={null}>
                <SetupPage />
            </Suspense>
        );
    }
    if (!user) {
        return <SignInPage organisation={session.data.organisation} />;
    }
    if (!isOpen) {
        return <Waiting error={null} />;
    }
    return (
        <>
            {children}
            <Dialog open={ended} fullWidth maxWidth="xs" aria-labelledby="ended">
                <DialogTitle id="ended">{words.theSessionHasEnded}</DialogTitle>
                <DialogContent sx={{ display: 'grid', gap: 4 }}>
                    <Typography>{words.signInAgainToContinue}</Typography>
                    <Suspense fallback={null}>
                        <SignInForm
                            email={user.email}
                            onDone={(now) => {
                                if (now === user.id) {
                                    setEnded(false);
                                } else {
                                    // What is on the page is somebody else's work.
                                    window.location.assign('/');
                                }
                            }}
                        />
                    </Suspense>
                </DialogContent>
            </Dialog>
        </>
    );
}

type User = { id: string; name: string };

/** Opens what that person has on this device, and again after their session had ended. */
function useOpenDevice(user: User | null, ended: boolean): boolean {
    const [opened, setOpened] = useState('');
    const [id, name] = [user?.id ?? '', user?.name ?? ''];
    useEffect(() => {
        if (id === '' || ended) {
            return;
        }
        const askKey = async (on: string) =>
            (await ask(api.PUT('/device-keys/{device}', { params: { path: { device: on } } }))).key;
        void device.begin({ id, name }, askKey).then(() => {
            takeOver(id);
            setOpened(id);
        });
    }, [id, name, ended]);
    return id !== '' && opened === id;
}

function SignInPage({ organisation }: { organisation: string }) {
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
                <Suspense fallback={null}>
                    <SignInForm />
                </Suspense>
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
