import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { api, ask, isProblem, type Problem, type Schemas } from '../api/client';
import { answersOf, toSend, type Answers } from './answers';

const PAUSE_MS = 350;

/** Kept on this device until the server has it, so that nothing typed is lost. */
const keptUnder = (area: string) => `sarcina.area.${area}`;

function kept(area: Schemas['AreaResource']): Answers | null {
    const found = localStorage.getItem(keptUnder(area.id));
    if (found === null) {
        return null;
    }
    const { base, answers } = JSON.parse(found) as { base: number; answers: Answers };
    return base === area.revision ? answers : null;
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
            localStorage.removeItem(keptUnder(area.id));
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
    const change = useCallback(
        (to: Partial<Answers>) =>
            setAnswers((now) => {
                const next = { ...now, ...to };
                localStorage.setItem(keptUnder(area.id), JSON.stringify({ base: base.current, answers: next }));
                setWanted((turn) => turn + 1);
                return next;
            }),
        [area.id],
    );
    const again = useCallback(() => setWanted((turn) => turn + 1), []);
    const problem = isProblem(save.error) && !isPending ? save.error : null;
    return { answers, change, problem, isSaved: wanted === sent && !isPending && problem === null, again };
}
