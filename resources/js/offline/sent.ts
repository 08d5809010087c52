import { timeNow } from '../api/clock';
import { device, type Kept } from './device';
import type { Outgoing } from './outbox';
import { upgraded, versionOf } from './versions';

/** What the server took, kept on a while: where its record is restored from an older backup, it is sent again. */
interface Sent {
    /** As it was kept while it waited. */
    id: string;
    kind: string;
    version: number;
    value: Outgoing;
    /** The record that took it, as this page knew it; null where it did not. */
    record: string | null;
    takenAt: string;
}

export const SENT = 'sent';

const KEPT_MS = 14 * 24 * 60 * 60 * 1000;

let known: string | null = null;

/** Which record the server has: another one after each restore. */
export function keepRecord(record: string): void {
    known = record;
}

/** The server has it now. */
export function keepSent(work: Kept<Outgoing>): void {
    const sent: Sent = {
        id: work.id,
        kind: work.kind,
        version: versionOf(work.kind),
        value: work.value,
        record: known,
        takenAt: timeNow(),
    };
    device.put(SENT, `${SENT}:${work.id}:${work.value.doneAt ?? sent.takenAt}`, sent);
}

/**
 * Lets go of what is older than 14 days; where the record is another one by now, what it may have lost waits to be sent again. What it
 * has all the same counts once: each has its id.
 *
 * @returns how many wait again
 */
export function sendAgain(): number {
    let again = 0;
    for (const { id, value: sent } of device.all<Sent>(SENT)) {
        if (Date.parse(timeNow()) - Date.parse(sent.takenAt) > KEPT_MS) {
            device.remove(id);
        } else if (known !== null && sent.record !== known && device.get(sent.id) === undefined) {
            const value = upgraded(sent.kind, sent.version, sent.value) as Outgoing | undefined;
            if (value !== undefined) {
                device.put(sent.kind, sent.id, { ...value, isWaiting: true, errors: {}, trouble: null });
                device.remove(id);
                again++;
            }
        }
    }
    return again;
}
