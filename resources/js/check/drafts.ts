import { device } from '../offline/device';
import { lastSent } from '../offline/outbox';
import type { Draft } from './draft';

const KIND = 'check';

const idOf = (kit: string, user: string) => `${KIND}:${user}:${kit}`;

let read: { from: unknown; drafts: Draft[] } = { from: null, drafts: [] };

/** Checks of who is signed in that this device keeps, from the first count until the server has them. */
export const drafts = {
    all: (): Draft[] => {
        const from = device.all<Draft>(KIND);
        if (read.from !== from) {
            const sorted = from
                .map((one) => one.value)
                .sort((one, other) => (one.startedAt < other.startedAt ? -1 : 1));
            read = { from, drafts: sorted };
        }
        return read.drafts;
    },
    of: (kit: string, user: string): Draft | null => (device.get(idOf(kit, user)) as Draft | undefined) ?? null,
    keep: (draft: Draft): void => device.put(KIND, idOf(draft.kit, draft.user), draft),
    drop: (draft: Draft): void => device.remove(idOf(draft.kit, draft.user)),
    /** Where one that was sent since this page was opened leads: to its record, or to the kit where it waits to be settled. */
    lastSentOf: (kit: string, user: string): string | null => lastSent(idOf(kit, user)),
    subscribe: device.subscribe,
};
