import useMediaQuery from '@mui/material/useMediaQuery';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import { useNavigate, useParams } from 'react-router';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Waiting } from '../ui/Page';
import { begin, hasEntries, type Draft } from './draft';
import { drafts } from './drafts';
import { QuickCheck } from './QuickCheck';
import { SealStart } from './SealStart';
import { Walk, type WalkProps } from './Walk';
import { WalkInHand } from './WalkInHand';

/** A check of one kit: begun, or gone on with where it was left on this device. */
export default function CheckPage() {
    const { code = '' } = useParams();
    const navigate = useNavigate();
    const client = useQueryClient();
    const { user } = useSession();
    const { data: kit, error } = useQuery({ ...questions.kit(code), refetchOnWindowFocus: false });
    const draft = useSyncExternalStore(drafts.subscribe, () => (user ? drafts.of(code, user.id) : null));
    const own = user?.id ?? '';
    const lastSent = useSyncExternalStore(drafts.subscribe, () => drafts.lastSentOf(code, own));
    const [sentBefore] = useState(() => drafts.lastSentOf(code, own));
    const sent = !draft && lastSent !== sentBefore ? lastSent : null;

    useEffect(() => {
        if (sent) {
            void client.invalidateQueries();
            void navigate(sent, { replace: true });
        }
    }, [sent, navigate, client]);

    useEffect(() => {
        if (kit && user && !draft && !sent && kit.seal.state !== 'intact') {
            drafts.keep(begin(kit, user, 'full'));
        }
    }, [kit, user, draft, sent]);

    useEffect(() => {
        const forgetUntouched = () => {
            const now = own === '' ? null : drafts.of(code, own);
            if (now && !hasEntries(now)) {
                drafts.drop(now);
            }
        };
        return forgetUntouched;
    }, [code, own]);

    const change = useCallback(
        (to: (draft: Draft) => Draft) => {
            const now = user ? drafts.of(code, user.id) : null;
            if (now) {
                drafts.keep(to(now));
            }
        },
        [code, user],
    );

    if (!kit || !user) {
        return <Waiting error={error} />;
    }
    if (!draft) {
        return kit.seal.state === 'intact' && !sent ? (
            <SealStart kit={kit} onBegin={(kind, reason) => drafts.keep(begin(kit, user, kind, reason))} />
        ) : (
            <Waiting error={null} />
        );
    }
    const leave = () => {
        drafts.drop(draft);
        void navigate(`/kits/${code}`);
    };
    return draft.kind === 'quick' ? (
        <QuickCheck kit={kit} draft={draft} change={change} onLeave={leave} />
    ) : (
        <FullCheck kit={kit} draft={draft} change={change} onLeave={leave} />
    );
}

function FullCheck(props: WalkProps) {
    const atDesk = useMediaQuery('(min-width:900px)');
    return atDesk ? <Walk {...props} /> : <WalkInHand {...props} />;
}
