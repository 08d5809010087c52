/** So many steps back are kept. */
export const MOST_STEPS = 50;

/** What was, before and after where one is: for undo and redo. */
export interface Steps<T> {
    past: T[];
    future: T[];
    /** What the last step changed; the same again is one step with it, so that a word typed is one. */
    last: string | null;
}

export const noSteps = { past: [], future: [], last: null };

/** A change that was just made: what was before it is kept. */
export function stepped<T>(steps: Steps<T>, before: T, what: string | null): Steps<T> {
    return {
        past: what !== null && what === steps.last ? steps.past : [...steps.past, before].slice(-MOST_STEPS),
        future: [],
        last: what,
    };
}

/** One step back from now; null where there is none. */
export function undone<T>(steps: Steps<T>, now: T): { steps: Steps<T>; now: T } | null {
    const before = steps.past.at(-1);
    return before === undefined
        ? null
        : { now: before, steps: { past: steps.past.slice(0, -1), future: [now, ...steps.future], last: null } };
}

export function redone<T>(steps: Steps<T>, now: T): { steps: Steps<T>; now: T } | null {
    const [after] = steps.future;
    return after === undefined
        ? null
        : { now: after, steps: { past: [...steps.past, now], future: steps.future.slice(1), last: null } };
}
