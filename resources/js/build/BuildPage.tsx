import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { useNavigate, useParams } from 'react-router';
import { questions } from '../api/queries';
import { device } from '../offline/device';
import { beganAnew, lastSent } from '../offline/outbox';
import { Waiting } from '../ui/Page';
import { buildId, builds } from './draft';
import { Packs } from './Packs';
import { StartBuild } from './StartBuild';

/** A kit packed anew, step by step: everything out, pocket by pocket back in, what is left over, weighed, sealed and recorded. */
export default function BuildPage() {
    const { code = '' } = useParams();
    const navigate = useNavigate();
    const [store, setStore] = useState<string>();
    const { data: kit, error } = useQuery({ ...questions.kit(code), refetchOnWindowFocus: false });
    const kept = useSyncExternalStore(device.subscribe, () => builds.of(code));
    const { data: plan, error: planError } = useQuery({
        ...questions.build(code, store),
        placeholderData: keepPreviousData,
        refetchOnWindowFocus: false,
        // What was begun goes on with the kit as it was read then.
        enabled: kept === null,
    });
    const sent = useSyncExternalStore(device.subscribe, () => lastSent(buildId(code)));
    const [sentBefore] = useState(sent);
    useEffect(() => {
        if (kept === null && sent !== null && sent !== sentBefore) {
            beganAnew(buildId(code));
            void navigate(sent, { replace: true });
        }
    }, [kept, sent, sentBefore, code, navigate]);
    if (!kit || (kept === null && !plan)) {
        return <Waiting error={error ?? planError} />;
    }
    return kept === null && plan ? (
        <StartBuild kit={kit} plan={plan} onStore={setStore} />
    ) : (
        kept && <Packs key={kept.id} kit={kit} kept={kept} />
    );
}
