import type { Draft } from './draft';

/**
 * Checks in progress on this device. Kept in the browser's own store at every change, at once:
 * a reload, a closed page or a dead battery loses nothing.
 */
const prefix = 'sarcina.check.';
const listeners = new Set<() => void>();
let cache: Draft[] | null = null;
const lastSent = new Map<string, string>();

function readAll(): Draft[] {
    const drafts: Draft[] = [];
    for (let index = 0; index < localStorage.length; index++) {
        const key = localStorage.key(index);
        const text = key?.startsWith(prefix) ? localStorage.getItem(key) : null;
        if (text) {
            drafts.push(JSON.parse(text) as Draft);
        }
    }
    return drafts.sort((one, other) => (one.startedAt < other.startedAt ? -1 : 1));
}

function tell(): void {
    cache = null;
    listeners.forEach((listener) => listener());
}

export const drafts = {
    all: (): Draft[] => {
        cache ??= readAll();
        return cache;
    },
    of: (kit: string, user: string): Draft | null =>
        drafts.all().find((draft) => draft.kit === kit && draft.user === user) ?? null,
    keep: (draft: Draft): void => {
        localStorage.setItem(`${prefix}${draft.user}.${draft.kit}`, JSON.stringify(draft));
        tell();
    },
    /** The server has it; whoever still looks at it is led to the record, or to the kit where it waits to be settled. */
    sent: (draft: Draft, isRecorded: boolean): void => {
        lastSent.set(draft.kit, isRecorded ? `/checks/${draft.id}` : `/kits/${draft.kit}`);
        drafts.drop(draft);
    },
    lastSentOf: (kit: string): string | null => lastSent.get(kit) ?? null,
    drop: (draft: Draft): void => {
        localStorage.removeItem(`${prefix}${draft.user}.${draft.kit}`);
        tell();
    },
    subscribe: (listener: () => void): (() => void) => {
        listeners.add(listener);
        // Another tab of the same browser may count or send too.
        const other = (event: StorageEvent) => event.key?.startsWith(prefix) && tell();
        window.addEventListener('storage', other);
        return () => {
            listeners.delete(listener);
            window.removeEventListener('storage', other);
        };
    },
};
