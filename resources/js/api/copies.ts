/** Answers that were read from this device because the server did not answer: by path, with the time they were made. */
const copies = new Map<string, string>();
const listeners = new Set<() => void>();

/** The header with which the worker says that an answer is a copy, and when the server made it. */
export const COPY_MADE_AT = 'X-Copy-Made-At';

/** Remembers whether the last answer for an address was a copy. */
export function noteAnswer(address: string, madeAt: string | null): void {
    const { pathname } = new URL(address, 'http://sarcina.invalid');
    if (madeAt === null ? copies.delete(pathname) : copies.get(pathname) !== madeAt) {
        if (madeAt !== null) {
            copies.set(pathname, madeAt);
        }
        listeners.forEach((tell) => tell());
    }
}

/** Finds when the copy of an address was made, or returns null where the server answered. */
export function copyMadeAt(path: string): string | null {
    return copies.get(path) ?? null;
}

export function subscribeToCopies(tell: () => void): () => void {
    listeners.add(tell);
    return () => listeners.delete(tell);
}
