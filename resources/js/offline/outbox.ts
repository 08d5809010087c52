import { isProblem } from '../api/client';
import { noteRecorded } from '../api/newest';
import { device, type Kept } from './device';
import { keepSent } from './sent';

/** Work that is signed here and sent as soon as the server answers. */
export interface Outgoing {
    isWaiting: boolean;
    /** When it was signed, by this device's clock, corrected. */
    doneAt: string | null;
    /** Why the server did not take it: by field, and in words. */
    errors: Record<string, string[]>;
    trouble: { title: string; detail: string; changes: string[] } | null;
}

/** Work that is not signed yet. */
export const notSigned: Outgoing = { isWaiting: false, doneAt: null, errors: {}, trouble: null };

/** How a kind of work is sent; where its person is led when the server has it. */
export interface Sender<T extends Outgoing> {
    kind: string;
    /** Whether it becomes an operation of the record, which a restore from a backup may lose. */
    isOperation: boolean;
    send: (value: T) => Promise<string>;
    /** Whether the screen that it is open on sends it itself. */
    isHeld?: (value: T) => boolean;
}

let isSending = false;
const sentTo = new Map<string, string>();

/** Where to go from work that was sent since this page was opened. */
export function lastSent(id: string): string | null {
    return sentTo.get(id) ?? null;
}

/** Its person works on it again from the beginning: where it was sent to before is no longer of now. */
export function beganAnew(id: string): void {
    sentTo.delete(id);
}

export function isRefused(value: Outgoing): boolean {
    return !value.isWaiting && (value.trouble !== null || Object.keys(value.errors).length > 0);
}

/** Why it was not taken, in one sentence. */
export function whyRefused(value: Outgoing): string {
    return Object.values(value.errors)[0]?.[0] ?? value.trouble?.detail ?? '';
}

/**
 * Sends all signed work that waits, in the order in which it was signed. What cannot be sent now goes on waiting, and all that was
 * signed after it; what the server does not take goes back to its person with the reason. Its id was made here: sent twice, it
 * counts once.
 *
 * @returns how many were taken
 */
export async function sendWaiting(senders: readonly Sender<never>[]): Promise<number> {
    if (isSending) {
        return 0;
    }
    isSending = true;
    let taken = 0;
    try {
        for (let next = first(senders); next; next = first(senders)) {
            const outcome = await send(next.sender, next.work);
            if (outcome === 'later') {
                break;
            }
            taken += outcome === 'taken' ? 1 : 0;
        }
    } finally {
        isSending = false;
    }
    return taken;
}

interface Next {
    sender: Sender<never>;
    work: Kept<Outgoing>;
}

function first(senders: readonly Sender<never>[]): Next | null {
    const waiting = senders.flatMap((sender) =>
        device
            .all<Outgoing>(sender.kind)
            .flatMap((work) =>
                work.value.isWaiting && sender.isHeld?.(work.value as never) !== true ? [{ sender, work }] : [],
            ),
    );
    waiting.sort((one, other) => ((one.work.value.doneAt ?? '') < (other.work.value.doneAt ?? '') ? -1 : 1));
    return waiting[0] ?? null;
}

async function send(sender: Sender<never>, work: Kept<Outgoing>): Promise<'taken' | 'refused' | 'later'> {
    try {
        sentTo.set(work.id, await sender.send(work.value as never));
        noteRecorded();
        if (sender.isOperation) {
            keepSent(work);
        }
        device.remove(work.id);
        return 'taken';
    } catch (error) {
        if (!isProblem(error) || error.isPassing || error.isSignedOut) {
            return 'later';
        }
        device.put(work.kind, work.id, {
            ...work.value,
            isWaiting: false,
            errors: error.errors,
            trouble: { title: error.title, detail: error.message, changes: error.changes },
        });
        return 'refused';
    }
}
