import Box from '@mui/material/Box';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { useSession } from '../session/useSession';
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
    if (!isWaiting) {
        return null;
    }
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
            .
        </Box>
    );
}
