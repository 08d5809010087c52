import { useCallback, useState } from 'react';

/** What is typed into a form, kept on this device until it is sent, so that a reload or a lost connection loses nothing. */
export function useKept<T>(
    key: string,
    begin: T,
): { typed: T; type: (to: T) => void; forget: () => void; isOld: boolean } {
    const name = `sarcina.form.${key}`;
    const [isOld] = useState(() => localStorage.getItem(name) !== null);
    const [typed, setTyped] = useState<T>(() => {
        const kept = localStorage.getItem(name);
        return kept === null ? begin : (JSON.parse(kept) as T);
    });
    const type = useCallback(
        (to: T) => {
            setTyped(to);
            localStorage.setItem(name, JSON.stringify(to));
        },
        [name],
    );
    const forget = useCallback(() => localStorage.removeItem(name), [name]);
    return { typed, type, forget, isOld };
}
