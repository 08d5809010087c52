import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { countedRows, type Draft } from './draft';

const PAUSE_MS = 60;

/** What the verdict would be as counted so far, from the server's core. While there is no answer, the last one stays. */
export function useRunningVerdict(draft: Draft): {
    verdict: Schemas['VerdictResource'] | undefined;
    isBehind: boolean;
} {
    const [rows, setRows] = useState(() => countedRows(draft));
    const text = JSON.stringify(countedRows(draft));
    useEffect(() => {
        const timer = window.setTimeout(() => setRows(JSON.parse(text) as Schemas['CountedRow'][]), PAUSE_MS);
        return () => window.clearTimeout(timer);
    }, [text]);
    const { data, isFetching, isError } = useQuery({
        queryKey: ['judgement', draft.kit, draft.id, rows],
        queryFn: () => ask(api.POST('/kits/{kit}/judgement', { params: { path: { kit: draft.kit } }, body: { rows } })),
        placeholderData: (last) => last,
        staleTime: 60_000,
        gcTime: 10_000,
        retry: false,
    });
    return { verdict: data, isBehind: isFetching || isError || JSON.stringify(rows) !== text };
}
