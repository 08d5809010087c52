import type { Schemas } from '../api/client';

/** Whether a line lives in a pocket: in it alone, or split over several, a part of it in this one. */
export function livesIn(
    line: Pick<Schemas['LineResource'], 'pocket_id'> & { shares?: Schemas['LineResource']['shares'] },
    pocket: string,
): boolean {
    return line.pocket_id === pocket || (line.shares ?? []).some((share) => share.pocket_id === pocket);
}

/** How many pieces of a split line lie in a pocket; null where it is not split. */
export function shareIn(line: Pick<Schemas['LineResource'], 'shares'>, pocket: string): number | null {
    return line.shares.find((share) => share.pocket_id === pocket)?.quantity ?? null;
}
