import { isFarAbove } from '../ui/limits';
import type { DraftRow, PrintedLot } from './draft';

/** How many were counted; null where nobody has looked yet, or where no whole number was typed. */
export function counted(row: Pick<DraftRow, 'quantity'>): number | null {
    return /^\d+$/.test(row.quantity) ? Number(row.quantity) : null;
}

/** Whether so many are asked about: far more than are recorded, and nobody said that they are there. */
export function isFarTooMany(row: DraftRow): boolean {
    const count = counted(row);
    return count !== null && count !== row.sure && isFarAbove(count, row.recorded);
}

export function isSameLot(one: PrintedLot | null, other: PrintedLot): boolean {
    return one !== null && (one.lot ?? '') === (other.lot ?? '') && (one.expires ?? '') === (other.expires ?? '');
}

/** Whether it has to be said which lot this is: it is none that is on record, as far as this device knows. */
export function asksForLot(row: DraftRow): boolean {
    return !row.newLot && !isSameLot(row.origin, row) && !isSameLot(row.known, row);
}

/** Whether nothing about the row is open any more. */
export function isSettled(row: DraftRow): boolean {
    return counted(row) !== null && !row.unread && !isFarTooMany(row) && !asksForLot(row);
}
