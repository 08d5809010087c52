import { describe, expect, it } from 'vitest';
import { content, kit } from '../testing/samples';
import { beginUse, bodyOf, isWhole, keyOf, lostTool, piecesIn, toolIsBack, withMore, withReported } from './draft';

const shears = content({ lot_id: 'l1', item: 'shears', quantity: 2 });
const early = content({ lot_id: 'l2', item: 'pad', lot: 'A', quantity: 1, use_order: 0 });
const late = content({ lot_id: 'l3', item: 'pad', lot: 'B', quantity: 3, use_order: 1 });

describe('a kit that is handed back', () => {
    it('is whole once every tool was spoken of and it is signed, also where nothing was used', () => {
        const draft = { ...beginUse(kit()), handsBack: true };
        const tools = [keyOf(shears)];
        expect(isWhole(draft, false, tools)).toBe(false);
        const back = toolIsBack(draft, shears);
        expect(isWhole(back, false, tools)).toBe(false);
        const signed = { ...back, signed: 'TR' };
        expect(isWhole(signed, true, tools)).toBe(true);
        expect(bodyOf(signed)).toMatchObject({ taken: [], handed_back_by: 'TR' });
    });

    it('loses what is not back, all of it unless fewer are pressed, and has it again where it is', () => {
        const lost = lostTool({ ...beginUse(kit()), handsBack: true }, shears);
        expect(lost.taken[keyOf(shears)]).toMatchObject({ quantity: 2, why: 'lost' });
        expect(piecesIn(withMore(lost, shears, -1))).toBe(1);
        expect(piecesIn(toolIsBack(lost, shears))).toBe(0);
    });

    it('asks for no reason of a seal where nothing was taken', () => {
        const draft = { ...beginUse(kit()), handsBack: true, signed: 'TR' };
        expect(isWhole(draft, true)).toBe(true);
        expect(isWhole(withMore(draft, shears, 1), true)).toBe(false);
    });
});

describe('a report that is confirmed', () => {
    it('takes of each item what expires first, as far as it is there', () => {
        const report = {
            id: 'r1',
            reported_at: '2026-11-29T10:00:00Z',
            by: null,
            items: [
                { item: 'pad', name: 'Pad', pieces: 3 },
                { item: 'shears', name: 'Shears', pieces: 9 },
            ],
            counted_since: false,
            outcome: null,
            decided_by: null,
            decided_at: null,
            reason: null,
        };
        const draft = withReported(beginUse(kit()), [late, early, shears], report);
        expect(draft.taken[keyOf(early)]?.quantity).toBe(1);
        expect(draft.taken[keyOf(late)]?.quantity).toBe(2);
        expect(draft.taken[keyOf(shears)]?.quantity).toBe(2);
        expect(bodyOf(draft).report_id).toBe('r1');
    });
});
