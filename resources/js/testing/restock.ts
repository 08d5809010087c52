import { beginRestock, type RestockDraft } from '../restock/draft';
import { kit } from './samples';

/** Two dressings in, an opened one out after them, and scissors that no line names. */
export const plan = {
    store: 's1',
    store_name: 'Cupboard',
    stores: [],
    until: '2027-01-31',
    base: { epoch: 1, number: 40 },
    missing: [],
    stays: [],
    not_advised: [],
    out: [
        {
            step: 2,
            after: [1],
            pocket_id: 'front',
            lot_id: 'l1',
            lot: 'A1',
            name: 'Medium dressing',
            condition: 'opened',
            quantity: 1,
            to: 'discard',
            because: 'opened',
            good_until: null,
            caution: null,
        },
    ],
    in: [
        {
            step: 1,
            pocket_id: 'front',
            lot_id: 'l2',
            lot: 'B2',
            name: 'Medium dressing',
            quantity: 2,
            good_until: '2029-01-31',
        },
        { step: 3, pocket_id: null, lot_id: 'l3', lot: 'C3', name: 'Scissors', quantity: 1, good_until: null },
    ],
} as unknown as Parameters<typeof beginRestock>[1];

/** A restock by it, of which nothing is done. */
export const begun = (): RestockDraft => beginRestock(kit(), plan);
