import { clockCheckedAt, timeNow } from '../api/clock';

/** Signed now: it is sent as soon as the server answers. What was begun with a clock that was ahead was not after it was done. */
export function signedNow(begunAt: string) {
    const doneAt = timeNow();
    return {
        begunAt: begunAt < doneAt ? begunAt : doneAt,
        signed: { isWaiting: true, errors: {}, trouble: null, doneAt, clockCheckedAt: clockCheckedAt() },
    };
}
