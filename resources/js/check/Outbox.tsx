import Box from '@mui/material/Box';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { device } from '../offline/device';
import { isRefused, sendWaiting, whyRefused } from '../offline/outbox';
import { SENT, sendAgain } from '../offline/sent';
import { useSession } from '../session/useSession';
import { allWork, senders, type Work } from './work';
import { words } from './words';

const RETRY_MS = 3_000;

/** Sends signed work that waits for the server, and says so on every screen. */
export function Outbox() {
    const { user } = useSession();
    const client = useQueryClient();
    const all = useSyncExternalStore(device.subscribe, allWork);
    const isFailing = useSyncExternalStore(device.subscribe, () => device.isFailing);
    const sent = useSyncExternalStore(device.subscribe, () => device.all(SENT));
    useEffect(() => {
        if (user) {
            sendAgain();
        }
    }, [sent, user]);
    const waiting = all.filter((work) => work.value.isWaiting);
    const isWaiting = waiting.length > 0;
    useEffect(() => {
        if (!isWaiting || !user) {
            return undefined;
        }
        const send = () => {
            void sendWaiting(senders).then((taken) => {
                if (taken > 0) {
                    client.removeQueries({ type: 'inactive' });
                    void client.invalidateQueries();
                }
            });
        };
        send();
        const timer = window.setInterval(send, RETRY_MS);
        window.addEventListener('online', send);
        return () => {
            window.clearInterval(timer);
            window.removeEventListener('online', send);
        };
    }, [isWaiting, user, client]);
    const signed = waiting.filter((work) => work.kind !== 'answers');
    return (
        <>
            {isFailing && (
                <Strip isGrave>
                    <strong>{words.notKeptHere}</strong> {words.doNotCloseThisPage}
                </Strip>
            )}
            {all
                .filter((work) => isRefused(work.value))
                .map((work) => (
                    <Strip key={work.id} isGrave>
                        <strong>{words.needsYou}</strong> {words.wasNotAccepted(work.title)} {whyRefused(work.value)}{' '}
                        <Link to={work.href} style={{ color: 'inherit', fontWeight: 700 }}>
                            {words.correctIt(work.title)}
                        </Link>
                    </Strip>
                ))}
            {signed.length > 0 && <Waiting waiting={signed} />}
        </>
    );
}

function Strip({ isGrave, children }: { isGrave?: boolean; children: React.ReactNode }) {
    return (
        <Box
            role={isGrave ? 'alert' : 'status'}
            sx={{
                px: { xs: 4, md: 6 },
                py: 2,
                bgcolor: 'canvas',
                borderBottom: 1,
                borderColor: 'divider',
                ...(isGrave && { borderLeft: 6, borderColor: 'error.main' }),
            }}
        >
            {children}
        </Box>
    );
}

function Waiting({ waiting }: { waiting: Work[] }) {
    return (
        <Strip>
            {words.savedOnThisDeviceAnd}{' '}
            {waiting.map((work, index) => (
                <span key={work.id}>
                    {index > 0 && ', '}
                    <Link to={work.href} style={{ color: 'inherit', fontWeight: 700 }}>
                        {work.title}
                    </Link>
                </span>
            ))}
            .{' '}
            <Link to="/waiting" style={{ color: 'inherit' }}>
                {words.waitingToBeSent}
            </Link>
        </Strip>
    );
}
