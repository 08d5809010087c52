import { device } from './device';

/** Work of one kind, of which this device keeps one for each kit. */
export function keptByKit<T extends { kit: string }>(kind: string) {
    const idOf = (kit: string) => `${kind}:${kit}`;
    return {
        idOf,
        of: (kit: string): T | null => (device.get(idOf(kit)) as T | undefined) ?? null,
        keep: (work: T): void => device.put(kind, idOf(work.kit), work),
        drop: (kit: string): void => device.remove(idOf(kit)),
    };
}
