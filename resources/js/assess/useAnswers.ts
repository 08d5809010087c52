import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, isProblem, type Problem, type Schemas } from '../api/client';
import { keptAnswers } from './answersKept';
import { answersOf, toSend, type Answers } from './answers';

const PAUSE_MS = 350;

/** What was typed here and is not sent, where nobody changed the area meanwhile. */
function kept(area: Schemas['AreaResource']): Answers | null {
    const found = keptAnswers.of(area.id);
    return found !== null && found.base === area.revision ? found.answers : null;
}

interface Answering {
    answers: Answers;
    change: (to: Partial<Answers>) => void;
    problem: Problem | null;
    isSaved: boolean;
    again: () => void;
}

/** The answers for an area: every change is sent after a short pause, one after the other, and the plan that follows comes back. */
export function useAnswers(assessment: string, area: Schemas['AreaResource']): Answering {
    const client = useQueryClient();
    const [answers, setAnswers] = useState<Answers>(() => kept(area) ?? answersOf(area));
    const [wanted, setWanted] = useState(() => (kept(area) === null ? 0 : 1));
    const [sent, setSent] = useState(0);
    const base = useRef(area.revision);
    /** Which change was typed last: an answer of the server to an older one leaves it kept. */
    const latest = useRef(wanted);
    useEffect(() => keptAnswers.hold(area.id), [area.id]);
    const save = useMutation({
        mutationFn: ({ body }: { body: Schemas['AssessedArea']; turn: number }) =>
            ask(
                api.PUT('/assessments/{assessment}/areas/{id}', {
                    params: { path: { assessment, id: area.id } },
                    body,
                }),
            ),
        onSuccess: (now, { turn }) => {
            base.current = now.areas.find((one) => one.id === area.id)?.revision ?? base.current;
            setSent(turn);
            if (turn === latest.current) {
                keptAnswers.drop(area.id);
            }
            client.setQueryData(['assessment', assessment], now);
        },
        onError: (_, { turn }) => setSent(turn),
    });
    const { mutate, isPending } = save;
    useEffect(() => {
        if (wanted === sent || isPending) {
            return;
        }
        const timer = setTimeout(() => {
            mutate({ body: toSend(answers, base.current), turn: wanted });
        }, PAUSE_MS);
        return () => clearTimeout(timer);
    }, [answers, wanted, sent, isPending, mutate]);
    const now = useRef(answers);
    const change = useCallback(
        (to: Partial<Answers>) => {
            const next = { ...now.current, ...to };
            now.current = next;
            latest.current += 1;
            keptAnswers.keep({ assessment, area: area.id, name: next.name, base: base.current, answers: next });
            setAnswers(next);
            setWanted(latest.current);
        },
        [assessment, area.id],
    );
    const again = useCallback(() => {
        latest.current += 1;
        setWanted(latest.current);
    }, []);
    const problem = isProblem(save.error) && !isPending ? save.error : null;
    return { answers, change, problem, isSaved: wanted === sent && !isPending && problem === null, again };
}
