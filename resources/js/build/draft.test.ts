import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { buildPiece } from '../testing/samples';
import { apartBy, beginBuild, bodyOf, leftOver, massOf, pocketsOf, tasksIn, wholeOf, type BuildDraft } from './draft';

const plan = {
    order: ['back', 'front', 'spare'],
    pieces: [buildPiece('tape', 6, [['front', 4]]), buildPiece('gloves', 8, [['back', 8]])],
    restock: {
        store: 'store',
        store_name: 'Potting shed cupboard',
        base: { epoch: 1, number: 7 },
        in: [
            {
                ...buildPiece('gauze', 2, []),
                step: 1,
                line: 'L3',
                need: 'Gauze',
                pocket_id: 'front',
                short_dated: false,
            },
        ],
        missing: [],
        shelf: [],
    },
    items: [
        { item: 'tape', mass_g: 10, task: null },
        { item: 'gloves', mass_g: 20, task: 'Unfold the gloves' },
        { item: 'gauze', mass_g: 5, task: null },
    ],
    empty_mass_g: 500,
    max_mass_g: null,
    ask_over: 5,
} as unknown as Schemas['BuildPlan'];

const begun = () => beginBuild({ code: 'QH-03' } as Schemas['KitResource'], plan);

const withAll = (draft: BuildDraft): BuildDraft => ({
    ...draft,
    puts: draft.puts.map((put) => ({ ...put, isDone: true })),
});

describe('a kit repacked', () => {
    it('puts nothing in before it is ticked, and leaves all of it over', () => {
        const draft = begun();
        expect(pocketsOf(draft)).toEqual(['back', 'front']);
        expect(massOf(draft)).toBe(500);
        expect(draft.pieces.map((one) => leftOver(draft, one))).toEqual([6, 8]);
        const body = bodyOf(draft);
        expect(body.in).toEqual([]);
        expect(body.pieces.map((one) => [one.found, one.back, one.to_store, one.discarded])).toEqual([
            [6, [], 6, 0],
            [8, [], 8, 0],
        ]);
        expect(body.prepared).toEqual([]);
    });

    it('accounts for every piece that was found', () => {
        const all = withAll(begun());
        const draft: BuildDraft = {
            ...all,
            pieces: all.pieces.map((one) => (one.item === 'tape' ? { ...one, found: '5' } : one)),
            rest: { '0': 'discard' },
            tasks: { 'back gloves': true },
        };
        expect(massOf(draft)).toBe(500 + 40 + 160 + 10);
        const body = bodyOf(draft);
        expect(body.pieces[0]).toMatchObject({ recorded: 6, found: 5, to_store: 0, discarded: 1 });
        expect(body.pieces[0]?.back).toEqual([{ pocket_id: 'front', quantity: 4 }]);
        expect(body.in).toEqual([{ pocket_id: 'front', lot_id: 'lot-gauze', quantity: 2 }]);
        expect(body.prepared).toEqual([{ pocket_id: 'back', item: 'gloves', done: true }]);
        for (const one of body.pieces) {
            const back = one.back.reduce((sum, share) => sum + share.quantity, 0);
            expect(back + one.to_store + one.discarded).toBe(one.found);
        }
    });

    it('says what was not prepared, and asks for nothing where nothing goes in', () => {
        expect(bodyOf(withAll(begun())).prepared).toEqual([{ pocket_id: 'back', item: 'gloves', done: false }]);
        expect(tasksIn(begun(), 'front')).toEqual([]);
        expect(tasksIn(begun(), 'back')).toEqual([
            { key: 'back gloves', item: 'gloves', name: 'gloves', task: 'Unfold the gloves' },
        ]);
    });

    it('asks about a mass that is more than five per cent off, and about none that was not weighed', () => {
        const draft = withAll(begun());
        const weighed = (grams: string) => apartBy({ ...draft, weighed: grams });
        expect(massOf(draft)).toBe(710);
        expect([weighed(''), weighed('745'), weighed('746'), weighed('675'), weighed('674'), weighed('x')]).toEqual([
            null,
            null,
            36,
            null,
            36,
            null,
        ]);
    });

    it('takes whole numbers alone for pieces', () => {
        expect(['4', '04', '', '4.5', '-1', '1e3', ' 4'].map(wholeOf)).toEqual([4, 4, null, null, null, null, null]);
    });
});
