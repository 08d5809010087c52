import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState, useSyncExternalStore } from 'react';
import { useParams } from 'react-router';
import { questions } from '../api/queries';
import { device } from '../offline/device';
import { useLeadOn } from '../offline/useLeadOn';
import { Waiting } from '../ui/Page';
import { builds } from './draft';
import { Packs } from './Packs';
import { StartBuild } from './StartBuild';

/** A kit repacked, step by step: everything out, pocket by pocket back in, what is left over, weighed, sealed and recorded. */
export default function BuildPage() {
    const { code = '' } = useParams();
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
    useLeadOn(builds.idOf(code), kept !== null);
    if (!kit || (kept === null && !plan)) {
        return <Waiting error={error ?? planError} />;
    }
    return kept === null && plan ? (
        <StartBuild kit={kit} plan={plan} onStore={setStore} />
    ) : (
        kept && <Packs key={kept.id} kit={kit} kept={kept} />
    );
}
