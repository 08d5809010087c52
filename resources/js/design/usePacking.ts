import { useState } from 'react';
import { newId } from '../api/newId';
import { useKept } from '../offline/useKept';
import type { Draft, Packing } from './packing';
import { noSteps, redone, stepped, undone, type Steps } from './steps';

export interface PackingHands {
    packing: Packing;
    /** Changes the draft; what is told by the same word twice is one step. */
    change: (to: (draft: Draft) => Draft, what?: string) => void;
    /** What is not packed: what it is called, and what it is for. */
    set: (to: Partial<Pick<Packing, 'name' | 'serves'>>) => void;
    /** Goes on from an edition that was published meanwhile. No step leads back to before it: that would take back what another changed. */
    goOnFrom: (draft: Draft, edition: { edition: string; number: number }) => void;
    undo: () => void;
    redo: () => void;
    canUndo: boolean;
    canRedo: boolean;
    forget: () => void;
    isOld: boolean;
}

/** What is packed, kept on this device until it is published, with its steps back and forth. */
export function usePacking(name: string, begin: Packing): PackingHands {
    const { typed, type, forget, isOld } = useKept<Packing>(name, begin);
    const [steps, setSteps] = useState<Steps<Draft>>(noSteps);
    // What is otherwise is another edition: one that may have arrived already is not taken for it.
    const put = (to: Partial<Packing>) => type({ ...typed, edition: newId(), ...to });
    const go = (where: typeof undone<Draft>) => () => {
        const gone = where(steps, typed.draft);
        if (gone !== null) {
            setSteps(gone.steps);
            put({ draft: gone.now });
        }
    };
    return {
        packing: typed,
        change: (to, what) => {
            const draft = to(typed.draft);
            if (draft !== typed.draft) {
                setSteps(stepped(steps, typed.draft, what ?? null));
                put({ draft });
            }
        },
        set: put,
        goOnFrom: (draft, { edition, number }) => {
            setSteps(noSteps);
            put({ draft, base: edition, number });
        },
        undo: go(undone),
        redo: go(redone),
        canUndo: steps.past.length > 0,
        canRedo: steps.future.length > 0,
        forget,
        isOld,
    };
}
