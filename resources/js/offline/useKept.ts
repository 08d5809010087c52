import { useCallback, useState, useSyncExternalStore } from 'react';
import { device } from './device';

/** Forms that are not sent yet, each under its own name. */
const FORM = 'form';

/** What is kept of a form, where it is not shown. */
export const keptForm = {
    of: (name: string) => device.get(`${FORM}:${name}`),
    keep: (name: string, typed: unknown) => device.put(FORM, `${FORM}:${name}`, typed),
    discard: (name: string) => device.remove(`${FORM}:${name}`),
};

/** What is typed into a form, kept on this device until it is sent, so that a reload or a lost connection loses nothing. */
export function useKept<T>(
    name: string,
    begin: T,
): { typed: T; type: (to: T | ((now: T) => T)) => void; forget: () => void; isOld: boolean } {
    const id = `${FORM}:${name}`;
    const [isOld] = useState(() => device.get(id) !== undefined);
    const [begun] = useState(begin);
    const kept = useSyncExternalStore(device.subscribe, () => device.get(id));
    const type = useCallback(
        (to: T | ((now: T) => T)) => {
            const now = (device.get(id) as T | undefined) ?? begun;
            device.put(FORM, id, typeof to === 'function' ? (to as (now: T) => T)(now) : to);
        },
        [id, begun],
    );
    const forget = useCallback(() => device.remove(id), [id]);
    return { typed: (kept as T | undefined) ?? begun, type, forget, isOld };
}
