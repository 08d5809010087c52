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
import { forgetCopies, sessionQuestion } from './session';
import { words } from './words';

/** Who is signed in already does not wait for its fields. */
const SignInForm = lazy(() => import('./SignInForm').then((part) => ({ default: part.SignInForm })));
const SignInPage = lazy(() => import('./SignInPage'));

const SetupPage = lazy(() => import('../settings/SetupPage'));
const OpenReportPage = lazy(() => import('../report/OpenReportPage'));

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
    const token = /^\/report\/([\w-]{10,60})$/.exec(window.location.pathname)?.[1];
    if (token) {
        return (
            <Suspense fallback={null}>
                <OpenReportPage token={token} />
            </Suspense>
        );
    }
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
        return (
            <Suspense fallback={null}>
                <SignInPage organisation={session.data.organisation} />
            </Suspense>
        );
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
