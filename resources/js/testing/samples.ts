import type { Schemas } from '../api/client';
import type { DraftRow } from '../check/draft';

export const user: Schemas['UserResource'] = {
    id: '7',
    name: 'Mina Oduya',
    role: 'keeper',
    may: ['check', 'restock'],
} as unknown as Schemas['UserResource'];

export function content(of: Partial<Schemas['ContentResource']>): Schemas['ContentResource'] {
    return {
        pocket_id: 'front',
        line: 'L1',
        item: 'dressing-medium',
        name: 'Medium dressing',
        dated: true,
        lot: 'A1',
        expires: '2027-03',
        quantity: 4,
        condition: 'good',
        opened_on: null,
        opened_life_days: null,
        in_use: false,
        ...of,
    } as Schemas['ContentResource'];
}

export function line(code: string, pocket: string): Schemas['LineResource'] {
    return {
        code,
        need: `Need of ${code}`,
        pocket_id: pocket,
        told_from: null,
        shares: [] as Schemas['ShareResource'][],
    } as Schemas['LineResource'];
}

/** A kit of two pockets and three lines; of the third nothing is recorded. */
export function kit(to: Partial<Schemas['KitResource']> = {}): Schemas['KitResource'] {
    return {
        code: 'QH-03',
        name: 'Glasshouse',
        base: { epoch: 1, number: 40 },
        seal: { state: 'intact', number: null },
        leaves: [{ name: 'Left', pockets: [{ id: 'front' }, { id: 'back' }] }],
        contents: [
            content({}),
            content({ lot: 'B2', expires: null, quantity: 2, condition: 'opened' }),
            content({ pocket_id: 'back', line: 'L2', item: 'gloves', name: 'Gloves', lot: null, quantity: 6 }),
        ],
        modules: [],
        notes: [],
        verdict: { lines: [line('L1', 'front'), line('L2', 'back'), line('L3', 'back')] },
        ...to,
    } as unknown as Schemas['KitResource'];
}

export function draftRow(of: Partial<DraftRow> = {}): DraftRow {
    return {
        key: 'row',
        pocket: 'front',
        line: 'L1',
        item: 'dressing-medium',
        name: 'Medium dressing',
        dated: true,
        lot: 'A1',
        expires: '2027-03',
        unread: null,
        recorded: 4,
        quantity: '',
        condition: 'good',
        openedOn: null,
        openedLifeDays: null,
        newLot: false,
        added: false,
        origin: {
            lot: of.lot === undefined ? 'A1' : of.lot,
            expires: of.expires === undefined ? '2027-03' : of.expires,
        },
        known: null,
        sure: null,
        ...of,
    };
}

/** A module that is closed with a seal. */
export function sealedModule(): Schemas['ModuleResource'] {
    return {
        code: 'QH-M1',
        id: 'roll',
        name: 'Eye roll',
        slot: null,
        sealed_design: true,
        seal: { state: 'intact', number: null, broken_on: null, reason: null },
        last_full_on: null,
    };
}

/** Pieces that lie in the front pocket on record, and go back into so many pockets. */
export function buildPiece(
    item: string,
    quantity: number,
    back: [pocket: string, pieces: number][],
    to: Partial<Schemas['BuildPiece']> = {},
): Schemas['BuildPiece'] {
    return {
        pocket_id: 'front',
        lot_id: `lot-${item}`,
        item,
        name: item,
        item_class: 'tape',
        caution: null,
        lot: 'A1',
        expires: null,
        good_until: null,
        condition: 'good',
        opened_on: null,
        quantity,
        back: back.map(([pocket_id, pieces]) => ({ pocket_id, quantity: pieces })),
        rest_to: 'store',
        because: null,
        ...to,
    };
}

/** A pocket of one row, in that column. */
export const pocket = (id: string, name: string, column: number): Schemas['PocketResource'] => ({
    id,
    name,
    row: 1,
    column,
    row_span: 1,
    column_span: 1,
    caution: null,
    properties: [],
    looked_for: [],
});

/** Two pads, reported used without an account; nobody has answered it. */
export const report = (of: Partial<Schemas['ReportResource']> = {}): Schemas['ReportResource'] => ({
    id: 'p1',
    reported_at: '2026-11-27T10:00:00Z',
    by: null,
    items: [{ item: 'pad', name: 'Trauma pad', pieces: 2 }],
    counted_since: false,
    outcome: null,
    decided_by: null,
    decided_at: null,
    reason: null,
    ...of,
});
