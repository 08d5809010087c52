import { describe, expect, it } from 'vitest';
import { emptyRow, faultOf, finishStoreWork, minorOf, piecesTyped, shelfRow, type StoreDraft } from './storeWork';

const row = (to: object) => ({ ...emptyRow({ code: 'shears', name: 'Shears' }), pieces: '2', ...to });

describe('what is typed at a store', () => {
    it('reads whole pieces and sums, and nothing else', () => {
        expect(['12', ' 3 ', '0', '1.5', '-1', 'x', ''].map(piecesTyped)).toEqual([12, 3, 0, null, null, null, null]);
        expect(['4.50', '4,5', '12', '0.05', '4.505', 'x', ''].map(minorOf)).toEqual([
            450,
            450,
            1200,
            5,
            null,
            null,
            null,
        ]);
    });

    it('says which field of a row is wrong', () => {
        expect(faultOf(row({}), 'receive')).toBeNull();
        expect(faultOf(row({ pieces: '' }), 'receive')).toBe('pieces');
        expect(faultOf(row({ pieces: '0' }), 'receive')).toBe('pieces');
        expect(faultOf(row({ pieces: '0' }), 'count')).toBeNull();
        expect(faultOf(row({ expires: '13/27' }), 'receive')).toBe('expires');
        expect(faultOf(row({ expires: '03/27' }), 'receive')).toBeNull();
        expect(faultOf(row({ packs: 'two' }), 'receive')).toBe('packs');
        expect(faultOf(row({ price: '4.505' }), 'receive')).toBe('price');
    });

    it('finds a row of the shelf again by what it is', () => {
        const on = {
            item: 'tape',
            name: 'Tape',
            lot: 'A1',
            expires: '2027-03',
            good_until: '2027-03-31',
            condition: 'opened',
            opened_on: '2026-11-01',
            quantity: 3,
        };
        expect(shelfRow(on).key).toBe(shelfRow({ ...on, quantity: 5 }).key);
        expect(shelfRow(on).key).not.toBe(shelfRow({ ...on, condition: 'good', opened_on: null }).key);
        expect(shelfRow(on)).toMatchObject({ recorded: 3, lot: 'A1', openedOn: '2026-11-01', pieces: '' });
    });

    it('was not begun after it was done, though the clock was ahead', () => {
        const draft = { begunAt: '2999-01-01T00:00:00.000Z', rows: [], errors: { x: ['y'] } } as unknown as StoreDraft;
        const done = finishStoreWork(draft);
        expect(done.begunAt).toBe(done.doneAt);
        expect([done.isWaiting, done.errors, done.trouble]).toEqual([true, {}, null]);
    });
});
