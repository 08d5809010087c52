import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { freshEntry, freshLine, linesOf, listToSend } from './editing';
import { freshItem, itemOf, itemToSend } from './itemEditing';

const list = {
    revision: 3,
    size: 'medium',
    lines: [
        {
            code: 'L1',
            need: 'Medium dressings',
            rank: 'critical',
            quantity: 4,
            total_measure: null,
            total_quantity: null,
            accepts: [
                { item: 'dressing-medium', class: null, minima: [], maxima: [] },
                {
                    item: null,
                    class: 'dressing.sterile',
                    minima: [{ measure: 'width', quantity: '10 cm' }],
                    maxima: [],
                },
            ],
            reason: null,
        },
        {
            code: 'L7',
            need: 'Tape',
            rank: 'optional',
            quantity: null,
            total_measure: 'length',
            total_quantity: '2.5 m',
            accepts: [{ item: 'tape', class: null, minima: [], maxima: [] }],
            reason: 'Two rolls in the van.',
        },
    ],
} as unknown as Schemas['ListResource'];

describe('a list that is edited', () => {
    it('is sent as it came where nothing was changed', () => {
        const sent = listToSend(
            { title: 'Table 1', basis: 'a standard', excludes: 'medicine, ', lines: linesOf(list) },
            list,
        );
        expect(sent).toMatchObject({ base: 3, size: 'medium', excludes: ['medicine'] });
        expect(sent.lines).toEqual([
            {
                code: 'L1',
                need: 'Medium dressings',
                rank: 'critical',
                quantity: 4,
                accepts: [
                    { item: 'dressing-medium' },
                    {
                        class: 'dressing.sterile',
                        minima: [{ measure: 'width', quantity: '10 cm' }],
                        maxima: [],
                    },
                ],
                reason: null,
                per: 'trip',
            },
            {
                code: 'L7',
                need: 'Tape',
                rank: 'optional',
                total_measure: 'length',
                total_quantity: '2.5 m',
                accepts: [{ item: 'tape' }],
                reason: 'Two rolls in the van.',
                per: 'trip',
            },
        ]);
    });

    it('gives a new line a code that no other has', () => {
        expect(freshLine(linesOf(list)).code).toBe('L8');
        expect(freshLine([]).code).toBe('L1');
    });

    it('reads measures as they are typed, and leaves a quantity that is none to be refused', () => {
        const line = {
            ...freshLine([]),
            quantity: 'four',
            accepts: [{ ...freshEntry, kind: 'class' as const, class: 'tape', least: 'Width 5 cm,  length 2.5 m,' }],
        };
        const sent = listToSend({ title: 'T', basis: 'b', excludes: '', lines: [line] }, list).lines[0];
        expect(sent?.quantity).toBe(0);
        expect(sent?.accepts[0]?.minima).toEqual([
            { measure: 'width', quantity: '5 cm' },
            { measure: 'length', quantity: '2.5 m' },
        ]);
    });
});

describe('an item that is edited', () => {
    const priceOf = (price: string) =>
        itemToSend({ ...freshItem, packs: [{ pieces: '10', price }] }, null).packs[0]?.price;

    it('keeps a price in minor units, whatever it is', () => {
        fc.assert(
            fc.property(fc.integer({ min: 0, max: 10_000_000 }), (minor) => {
                const item = { ...itemToSend(freshItem, null), mass_g: 5, packs: [{ pieces: 1, price: minor }] };
                const typed = itemOf({ ...item, needs: [], stand_ins: [] } as unknown as Schemas['ItemResource']);
                expect(itemToSend(typed, 1).packs).toEqual([{ pieces: 1, price: minor }]);
            }),
        );
    });

    it('takes a price with a comma, none, and refuses what is none', () => {
        expect(priceOf('4,5')).toBe(450);
        expect(priceOf('')).toBeNull();
        expect(priceOf('4.505')).toBe(-1);
        expect(priceOf('-4')).toBe(-1);
    });

    it('sends no unit where there is no opened life', () => {
        expect(itemToSend(freshItem, null)).toMatchObject({ opened_life: null, opened_life_unit: null });
        expect(itemToSend({ ...freshItem, opened_life: '6' }, 4)).toMatchObject({
            base: 4,
            opened_life: 6,
            opened_life_unit: 'months',
        });
        expect(itemToSend(freshItem, null)).not.toHaveProperty('base');
    });
});
