import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask, isProblem, type Problem, type Schemas } from '../api/client';
import { countedRows, type Draft } from './draft';

const PAUSE_MS = 60;

/** What the verdict would be as counted so far, from the server's core. While an answer is on its way the last one stays; where none can be had there is an error, and no verdict. */
export function useRunningVerdict(draft: Draft): {
    verdict: Schemas['VerdictResource'] | undefined;
    isBehind: boolean;
    error: Problem | null;
} {
    const [rows, setRows] = useState(() => countedRows(draft));
    const begun = draft.startedAt;
    const text = JSON.stringify(countedRows(draft));
    useEffect(() => {
        const timer = window.setTimeout(() => setRows(JSON.parse(text) as Schemas['CountedRow'][]), PAUSE_MS);
        return () => window.clearTimeout(timer);
    }, [text]);
    const { data, isFetching, error } = useQuery({
        queryKey: ['judgement', draft.kit, draft.id, begun, rows],
        queryFn: () =>
            ask(
                api.POST('/kits/{kit}/judgement', {
                    params: { path: { kit: draft.kit } },
                    body: { rows, begun_at: begun },
                }),
            ),
        placeholderData: (last) => last,
        staleTime: 60_000,
        gcTime: 10_000,
        retry: false,
        // What could not be judged is asked again, until the server answers.
        refetchInterval: (query) => (isProblem(query.state.error) && query.state.error.isPassing ? 3_000 : false),
    });
    return {
        verdict: data,
        isBehind: isFetching || JSON.stringify(rows) !== text,
        error: isProblem(error) ? error : null,
    };
}
