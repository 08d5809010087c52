import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { beginUse, bodyOf, isWhole, keyOf, piecesIn, withMore, type UseDraft } from './draft';

const row = (item: string, quantity: number, condition: 'good' | 'opened' = 'good') =>
    ({
        pocket_id: 'front',
        lot_id: `lot-${item}`,
        item,
        name: item,
        quantity,
        condition,
        opened_on: condition === 'opened' ? '2026-11-01' : null,
    }) as Schemas['ContentResource'];

const begun = () => beginUse({ code: 'QH-03', base: { epoch: 1, number: 7 } } as Schemas['KitResource']);

describe('what was taken', () => {
    it('is never more than is there, and none takes it off the list', () => {
        const tape = row('tape', 2);
        let draft: UseDraft = begun();
        for (let press = 0; press < 5; press++) {
            draft = withMore(draft, tape, 1);
        }
        expect([piecesIn(draft), draft.taken[keyOf(tape)]?.quantity]).toEqual([2, 2]);
        draft = withMore(withMore(draft, tape, -1), tape, -1);
        expect(draft.taken).toEqual({});
        expect(isWhole(draft, false)).toBe(false);
    });

    it('keeps what was said of it when one more is taken', () => {
        const tape = row('tape', 3);
        const key = keyOf(tape);
        const once = withMore(begun(), tape, 1);
        const said: UseDraft = {
            ...once,
            taken: { [key]: { ...(once.taken[key] ?? never()), why: 'training', isOpened: true } },
        };
        expect(withMore(said, tape, 1).taken[key]).toMatchObject({ quantity: 2, why: 'training', isOpened: true });
    });

    it('tells an opened piece from a new one of the same lot', () => {
        const draft = withMore(withMore(begun(), row('gel', 1), 1), row('gel', 1, 'opened'), 1);
        expect(Object.keys(draft.taken)).toHaveLength(2);
        expect(bodyOf(draft).taken.map((one) => [one.condition, one.opened_on])).toEqual([
            ['good', null],
            ['opened', '2026-11-01'],
        ]);
    });

    it('asks for the kit that it was moved to, and for the reason of a broken seal', () => {
        const tape = row('tape', 3);
        const key = keyOf(tape);
        const once = withMore(begun(), tape, 1);
        const moved = (toKit: string): UseDraft => ({
            ...once,
            taken: { [key]: { ...(once.taken[key] ?? never()), why: 'moved', isOpened: true, toKit } },
        });
        expect([isWhole(moved(' '), false), isWhole(moved('QH-01'), false)]).toEqual([false, true]);
        expect(bodyOf(moved(' QH-01 ')).taken[0]).toMatchObject({ to_kit: 'QH-01', opened: false });
        expect(bodyOf(once).taken[0]).toMatchObject({ to_kit: null, why: 'used' });
        expect([isWhole(once, true), isWhole({ ...once, sealReason: 'A thorn' }, true)]).toEqual([false, true]);
    });
});

function never(): never {
    throw new Error('It is there.');
}
