import type { Schemas } from '../api/client';

interface StepBase {
    key: string;
    index: number;
    pocket: string;
    quantity: string;
    isDone: boolean;
}

export type Step =
    (StepBase & { way: 'out'; row: Schemas['TakeResource'] }) | (StepBase & { way: 'in'; row: Schemas['PutResource'] });

/** One step for each lot that goes out or in. */
export function stepsOf(plan: Schemas['RestockResource'], elsewhere: string): Step[] {
    return [
        ...plan.out.map((row, index): Step => ({
            key: `out ${index}`,
            way: 'out',
            index,
            pocket: row.pocket_id,
            row,
            quantity: String(row.quantity),
            isDone: false,
        })),
        ...plan.in.map((row, index): Step => ({
            key: `in ${index}`,
            way: 'in',
            index,
            // A companion that no line names lies in the first pocket.
            pocket: row.pocket_id ?? elsewhere,
            row,
            quantity: String(row.quantity),
            isDone: false,
        })),
    ];
}
