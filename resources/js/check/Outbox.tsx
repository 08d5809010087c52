import Box from '@mui/material/Box';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { useSession } from '../session/useSession';
import { isRefused, whyRefused, type Draft } from './draft';
import { drafts } from './drafts';
import { sendWaiting } from './outbox';
import { words } from './words';

const RETRY_MS = 3_000;

/** Sends signed checks that wait for the server, and says so on every screen. */
export function Outbox() {
    const { user } = useSession();
    const client = useQueryClient();
    const all = useSyncExternalStore(drafts.subscribe, drafts.all);
    const waiting = all.filter((draft) => draft.isWaiting && draft.user === user?.id);
    const isWaiting = waiting.length > 0;
    useEffect(() => {
        if (!isWaiting || !user) {
            return undefined;
        }
        const send = () => {
            void sendWaiting(user.id).then((sent) => (sent.length > 0 ? client.invalidateQueries() : undefined));
        };
        send();
        const timer = window.setInterval(send, RETRY_MS);
        window.addEventListener('online', send);
        return () => {
            window.clearInterval(timer);
            window.removeEventListener('online', send);
        };
    }, [isWaiting, user, client]);
    const refused = all.filter((draft) => draft.user === user?.id && isRefused(draft));
    return (
        <>
            {refused.map((draft) => (
                <Box
                    key={draft.id}
                    role="alert"
                    sx={{
                        px: { xs: 4, md: 6 },
                        py: 2,
                        bgcolor: 'canvas',
                        borderBottom: 1,
                        borderLeft: 6,
                        borderColor: 'error.main',
                    }}
                >
                    <strong>{words.needsYou}</strong> {words.checkWasNotAccepted(draft.kit)} {whyRefused(draft)}{' '}
                    <Link to={`/kits/${draft.kit}/check`} style={{ color: 'inherit', fontWeight: 700 }}>
                        {words.putItRight(draft.kit)}
                    </Link>
                </Box>
            ))}
            {isWaiting && <Waiting waiting={waiting} />}
        </>
    );
}

function Waiting({ waiting }: { waiting: Draft[] }) {
    return (
        <Box
            role="status"
            sx={{ px: { xs: 4, md: 6 }, py: 2, bgcolor: 'canvas', borderBottom: 1, borderColor: 'divider' }}
        >
            {words.savedOnThisDeviceAnd}{' '}
            {waiting.map((draft, index) => (
                <span key={draft.id}>
                    {index > 0 && ', '}
                    <Link to={`/kits/${draft.kit}/check`} style={{ color: 'inherit', fontWeight: 700 }}>
                        {words.checkOf}
                        {draft.kit}
                    </Link>
                </span>
            ))}
            .{' '}
            <Link to="/waiting" style={{ color: 'inherit' }}>
                {words.waitingToBeSent}
            </Link>
        </Box>
    );
}
