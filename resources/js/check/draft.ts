import { newId } from '../api/newId';
import { livesIn } from '../ui/livesIn';
import { signedNow } from '../offline/signedNow';
import type { Schemas } from '../api/client';
import { timeNow } from '../api/clock';
import { notSigned, type Outgoing } from '../offline/outbox';
import { moduleOf, modulesToAsk, type DraftModule } from './modules';
import { counted, isSettled } from './rows';

export type Condition = Schemas['CountedRow']['condition'];
export const conditions: Condition[] = ['good', 'opened', 'damaged', 'soiled', 'failed'];

/** One row as it is being counted. An empty quantity means that nobody has looked yet. */
export interface DraftRow {
    key: string;
    pocket: string;
    line: string | null;
    item: string;
    name: string;
    dated: boolean;
    lot: string | null;
    expires: string | null;
    /** A date as typed that could not be read: the row is not done until it can. */
    unread: string | null;
    recorded: number;
    quantity: string;
    condition: Condition;
    /** The day on which it was opened, of an opened piece; null: not known. */
    openedOn: string | null;
    /** For how many days it is good once opened; null: it is not used once opened. */
    openedLifeDays: number | null;
    newLot: boolean;
    /** Found by the checker: not on record. */
    added: boolean;
    /** The lot and date on record; null where it was found. */
    origin: PrintedLot | null;
    /** The lot and date, changed here, that were found to be on record. */
    known: PrintedLot | null;
    /** So many, though it is far more than recorded. */
    sure: number | null;
}

/** A lot as it is printed on the pack. */
export interface PrintedLot {
    lot: string | null;
    expires: string | null;
}

/** A check in progress, as it is kept on this device. */
export interface Draft extends Outgoing {
    id: string;
    kit: string;
    user: string;
    startedAt: string;
    base: Schemas['Base'];
    /** When this device's clock was last compared. */
    clockCheckedAt: string | null;
    kind: 'full' | 'quick';
    rows: DraftRow[];
    /** Lines of which nothing is recorded and nothing was found. */
    noneFound: string[];
    signed: string;
    /** Why it is not the account's own name. */
    signedBecause: string;
    note: string;
    sealFound: string;
    sealReason: string;
    sealSet: string;
    modules: DraftModule[];
    /** Lines that are split, with each of their pockets; a draft from before they were has none. */
    shares?: { line: string; pocket: string }[];
}

type Kit = Schemas['KitResource'];
type Content = Schemas['ContentResource'];

function rowOf(content: Content): DraftRow {
    return {
        key: newId(),
        pocket: content.pocket_id,
        line: content.line,
        item: content.item,
        name: content.name,
        dated: content.dated,
        lot: content.lot,
        expires: content.expires,
        unread: null,
        recorded: content.quantity,
        quantity: '',
        condition: content.condition,
        openedOn: content.opened_on,
        openedLifeDays: content.opened_life_days,
        newLot: false,
        added: false,
        origin: { lot: content.lot, expires: content.expires },
        known: null,
        sure: null,
    };
}

export function begin(kit: Kit, user: Schemas['UserResource'], kind: Draft['kind'], sealReason = ''): Draft {
    return {
        id: newId(),
        kit: kit.code,
        user: user.id,
        startedAt: timeNow(),
        base: kit.base,
        clockCheckedAt: null,
        kind,
        rows: kit.contents.map((content) => rowOf(content)),
        noneFound: [],
        signed: user.name,
        signedBecause: '',
        note: '',
        sealFound: '',
        sealReason,
        sealSet: '',
        modules: kit.modules.flatMap((module) => modulesToAsk(module)),
        shares: kit.verdict.lines.flatMap((line) =>
            line.shares.map((share) => ({ line: line.code, pocket: share.pocket_id })),
        ),
        ...notSigned,
    };
}

/** Says whether anything was entered in a check: one that was only opened leaves nothing behind. */
export function hasEntries(draft: Draft): boolean {
    return (
        draft.rows.some((row) => row.quantity !== '' || row.added || row.unread !== null || row.newLot) ||
        draft.noneFound.length > 0 ||
        [draft.note, draft.sealFound, draft.sealReason, draft.sealSet, draft.signedBecause].some(
            (text) => text.trim() !== '',
        ) ||
        draft.modules.some(
            (module) => module.sealFound.trim() !== '' || module.sealSet.trim() !== '' || module.state === 'closed',
        ) ||
        draft.isWaiting
    );
}

/** Signed now: it is sent as soon as the server answers. */
export function sign(draft: Draft): Draft {
    const { begunAt, signed } = signedNow(draft.startedAt);
    return { ...draft, ...signed, startedAt: begunAt };
}

export function changeRow(draft: Draft, key: string, to: Partial<DraftRow>): Draft {
    const index = draft.rows.findIndex((row) => row.key === key);
    const errors = Object.fromEntries(
        Object.entries(draft.errors).filter(([field]) => !field.startsWith(`rows.${index}.`)),
    );
    return {
        ...draft,
        errors,
        rows: draft.rows.map((row) => (row.key === key ? { ...row, ...to } : row)),
    };
}

/** Some or all pieces of a row are in another condition: all of them change, or so many are split off. */
export function setCondition(
    draft: Draft,
    key: string,
    condition: Condition,
    pieces: number,
    openedOn: string | null = null,
): Draft {
    const row = draft.rows.find((one) => one.key === key);
    if (!row) {
        return draft;
    }
    const there = counted(row) ?? row.recorded;
    if (pieces >= there) {
        return changeRow(draft, key, { condition, openedOn, quantity: String(there) });
    }
    const less = changeRow(draft, key, { quantity: String(there - pieces) });
    const split: DraftRow = {
        ...row,
        key: newId(),
        condition,
        openedOn,
        quantity: String(pieces),
        recorded: 0,
        added: true,
    };
    return { ...less, errors: {}, rows: less.rows.flatMap((one) => (one.key === key ? [one, split] : [one])) };
}

export function addRow(draft: Draft, row: Pick<DraftRow, 'pocket' | 'line' | 'item' | 'name' | 'dated'>): Draft {
    const added: DraftRow = {
        ...row,
        key: newId(),
        lot: null,
        expires: null,
        unread: null,
        recorded: 0,
        quantity: '1',
        condition: 'good',
        openedOn: null,
        openedLifeDays: null,
        newLot: false,
        added: true,
        origin: null,
        known: null,
        sure: null,
    };
    return { ...draft, rows: [...draft.rows, added] };
}

export function removeRow(draft: Draft, key: string): Draft {
    return { ...draft, errors: {}, rows: draft.rows.filter((row) => row.key !== key) };
}

function asRecorded(row: DraftRow): DraftRow {
    return row.quantity === '' ? { ...row, quantity: String(row.recorded) } : row;
}

/** Everything in the pocket that was not counted yet is as recorded. */
export function pocketAsRecorded(draft: Draft, pocket: string, emptyLines: string[]): Draft {
    return {
        ...draft,
        rows: draft.rows.map((row) => (row.pocket === pocket ? asRecorded(row) : row)),
        noneFound: [...new Set([...draft.noneFound, ...emptyLines])],
    };
}

export function toggleNoneFound(draft: Draft, line: string): Draft {
    return {
        ...draft,
        noneFound: draft.noneFound.includes(line)
            ? draft.noneFound.filter((one) => one !== line)
            : [...draft.noneFound, line],
    };
}

/** Lines of the pocket for which no row stands in the draft. */
export function emptyLines(draft: Draft, kit: Kit, pocket: string): string[] {
    return kit.verdict.lines
        .filter(
            (line) =>
                livesIn(line, pocket) && !draft.rows.some((row) => row.line === line.code && row.pocket === pocket),
        )
        .map((line) => line.code);
}

/** How much of a pocket was looked at. */
export function progress(draft: Draft, kit: Kit, pocket: string): { done: number; all: number } {
    const rows = draft.rows.filter((row) => row.pocket === pocket);
    const empty = emptyLines(draft, kit, pocket);
    const all = rows.length + empty.length;
    if (moduleOf(draft, pocket)?.state === 'closed') {
        return { done: all, all };
    }
    return {
        done: rows.filter(isSettled).length + empty.filter((line) => draft.noneFound.includes(line)).length,
        all,
    };
}

/** Counts the rows that are settled, out of all, for a page that does not have the kit; once all is counted it says what the walk says. */
export function progressInAll(draft: Draft): { done: number; all: number } {
    const closed = draft.rows.filter((row) => moduleOf(draft, row.pocket)?.state === 'closed');
    const settled = draft.rows.filter((row) => !closed.includes(row) && isSettled(row));
    return {
        done: closed.length + settled.length + draft.noneFound.length,
        all: draft.rows.length + draft.noneFound.length,
    };
}

export function pocketsOf(kit: Kit): string[] {
    return kit.leaves.flatMap((leaf) => leaf.pockets.map((pocket) => pocket.id));
}

/** The rows of a signed check: what lies in a module that was left closed was not counted. */
export function rowsToSend(draft: Draft): Schemas['CountedRow'][] {
    return countedRows(draft).filter((row) => moduleOf(draft, row.pocket_id)?.state !== 'closed');
}

/** The rows as the server takes them; what was not looked at yet stands as recorded. */
export function countedRows(draft: Draft): Schemas['CountedRow'][] {
    return draft.rows.map((row) => ({
        pocket_id: row.pocket,
        item: row.item,
        lot: row.lot,
        expires: row.expires,
        quantity: counted(row) ?? row.recorded,
        condition: row.condition,
        opened_on: row.condition === 'opened' ? row.openedOn : null,
        new_lot: row.newLot,
    }));
}
