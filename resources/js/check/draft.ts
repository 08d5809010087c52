import { ulid } from 'ulid';
import type { Schemas } from '../api/client';

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
    newLot: boolean;
    /** Found by the checker: not on record. */
    added: boolean;
    /** The record changed under it, and it must be counted again. */
    changed: boolean;
}

/** A check in progress, as it is kept on this device. */
export interface Draft {
    id: string;
    kit: string;
    user: string;
    startedAt: string;
    base: number;
    kind: 'full' | 'quick';
    rows: DraftRow[];
    /** Lines of which nothing is recorded and nothing was found. */
    noneFound: string[];
    signed: string;
    note: string;
    sealFound: string;
    sealReason: string;
    sealSet: string;
    /** Signed, and to be sent when the server answers. */
    isWaiting: boolean;
    /** Why the server did not take it: by field, and in words. */
    errors: Record<string, string[]>;
    trouble: { title: string; detail: string; changes: string[] } | null;
}

type Kit = Schemas['KitResource'];
type Content = Schemas['ContentResource'];

function rowOf(content: Content, changed = false): DraftRow {
    return {
        key: ulid(),
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
        newLot: false,
        added: false,
        changed,
    };
}

export function begin(kit: Kit, user: Schemas['UserResource'], kind: Draft['kind'], sealReason = ''): Draft {
    return {
        id: ulid(),
        kit: kit.code,
        user: user.id,
        startedAt: new Date().toISOString(),
        base: kit.last_movement,
        kind,
        rows: kit.contents.map((content) => rowOf(content)),
        noneFound: [],
        signed: user.name,
        note: '',
        sealFound: '',
        sealReason,
        sealSet: '',
        isWaiting: false,
        errors: {},
        trouble: null,
    };
}

export function changeRow(draft: Draft, key: string, to: Partial<DraftRow>): Draft {
    const index = draft.rows.findIndex((row) => row.key === key);
    const errors = Object.fromEntries(
        Object.entries(draft.errors).filter(([field]) => !field.startsWith(`rows.${index}.`)),
    );
    return {
        ...draft,
        errors,
        rows: draft.rows.map((row) => (row.key === key ? { ...row, changed: false, ...to } : row)),
    };
}

/** Some or all pieces of a row are in another condition: all of them change, or so many are split off. */
export function setCondition(draft: Draft, key: string, condition: Condition, pieces: number): Draft {
    const row = draft.rows.find((one) => one.key === key);
    if (!row) {
        return draft;
    }
    const there = row.quantity === '' ? row.recorded : Number(row.quantity);
    if (pieces >= there) {
        return changeRow(draft, key, { condition, quantity: String(there) });
    }
    const less = changeRow(draft, key, { quantity: String(there - pieces) });
    const split: DraftRow = { ...row, key: ulid(), condition, quantity: String(pieces), recorded: 0, added: true };
    return { ...less, errors: {}, rows: less.rows.flatMap((one) => (one.key === key ? [one, split] : [one])) };
}

export function addRow(draft: Draft, row: Pick<DraftRow, 'pocket' | 'line' | 'item' | 'name' | 'dated'>): Draft {
    const added: DraftRow = {
        ...row,
        key: ulid(),
        lot: null,
        expires: null,
        unread: null,
        recorded: 0,
        quantity: '1',
        condition: 'good',
        newLot: false,
        added: true,
        changed: false,
    };
    return { ...draft, rows: [...draft.rows, added] };
}

export function removeRow(draft: Draft, key: string): Draft {
    return { ...draft, errors: {}, rows: draft.rows.filter((row) => row.key !== key) };
}

function asRecorded(row: DraftRow): DraftRow {
    return row.quantity === '' ? { ...row, quantity: String(row.recorded), changed: false } : row;
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
                line.pocket_id === pocket && !draft.rows.some((row) => row.line === line.code && row.pocket === pocket),
        )
        .map((line) => line.code);
}

/** How much of a pocket was looked at. */
export function progress(draft: Draft, kit: Kit, pocket: string): { done: number; all: number } {
    const rows = draft.rows.filter((row) => row.pocket === pocket);
    const empty = emptyLines(draft, kit, pocket);
    return {
        done:
            rows.filter((row) => row.quantity !== '' && !row.unread).length +
            empty.filter((line) => draft.noneFound.includes(line)).length,
        all: rows.length + empty.length,
    };
}

export function pocketsOf(kit: Kit): string[] {
    return kit.leaves.flatMap((leaf) => leaf.pockets.map((pocket) => pocket.id));
}

/** The rows as the server takes them; what was not looked at yet stands as recorded. */
export function countedRows(draft: Draft): Schemas['CountedRow'][] {
    return draft.rows.map((row) => ({
        pocket_id: row.pocket,
        item: row.item,
        lot: row.lot,
        expires: row.expires,
        quantity: row.quantity === '' ? row.recorded : Number(row.quantity),
        condition: row.condition,
        new_lot: row.newLot,
    }));
}

/** The same draft on new contents: what changed must be counted again, the rest stays as entered. */
export function rebase(draft: Draft, kit: Kit): Draft {
    const same = (row: DraftRow, content: Content) =>
        !row.added &&
        row.pocket === content.pocket_id &&
        row.item === content.item &&
        row.lot === content.lot &&
        row.expires === content.expires;
    const found = kit.contents.filter((content) => !draft.rows.some((row) => same(row, content)));
    const rows = draft.rows.map((row) => {
        if (row.added) {
            return row;
        }
        const content = kit.contents.find((one) => same(row, one));
        const recorded = content?.quantity ?? 0;
        return recorded === row.recorded ? row : { ...row, recorded, quantity: '', changed: true };
    });
    return {
        ...draft,
        base: kit.last_movement,
        rows: [...rows, ...found.map((content) => rowOf(content, true))],
        errors: {},
    };
}
