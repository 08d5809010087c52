import { api, ask } from '../api/client';
import { timeNow } from '../api/clock';
import { device } from '../offline/device';
import type { Outgoing, Sender } from '../offline/outbox';
import { toSend, type Answers } from './answers';

const KIND = 'answers';

/** Answers for an area that the server does not have yet. */
export interface AnswersDraft extends Outgoing {
    assessment: string;
    area: string;
    name: string;
    /** The revision that they were typed over. */
    base: number;
    answers: Answers;
}

const idOf = (area: string) => `${KIND}:${area}`;

/** Areas whose questions are open: these send their answers themselves, in the order in which they are typed. */
const open = new Set<string>();

export const keptAnswers = {
    of: (area: string): AnswersDraft | null => (device.get(idOf(area)) as AnswersDraft | undefined) ?? null,
    keep: (draft: Pick<AnswersDraft, 'assessment' | 'area' | 'name' | 'base' | 'answers'>): void =>
        device.put(KIND, idOf(draft.area), {
            ...draft,
            isWaiting: true,
            doneAt: timeNow(),
            errors: {},
            trouble: null,
        } satisfies AnswersDraft),
    drop: (area: string): void => device.remove(idOf(area)),
    hold: (area: string): (() => void) => {
        open.add(area);
        return () => open.delete(area);
    },
};

export const answersSender: Sender<AnswersDraft> = {
    kind: KIND,
    isOperation: false,
    isHeld: ({ area }) => open.has(area),
    send: async ({ assessment, area, base, answers }) => {
        await ask(
            api.PUT('/assessments/{assessment}/areas/{id}', {
                params: { path: { assessment, id: area } },
                body: toSend(answers, base),
            }),
        );
        return `/assess/${assessment}`;
    },
};
