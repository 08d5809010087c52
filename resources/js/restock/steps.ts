import type { Schemas } from '../api/client';

interface StepBase {
    key: string;
    pocket: string;
    quantity: string;
    isDone: boolean;
}

export type Step =
    (StepBase & { way: 'out'; row: Schemas['TakeResource'] }) | (StepBase & { way: 'in'; row: Schemas['PutResource'] });

/** Steps that follow one another in one pocket. */
export interface Stop {
    key: string;
    pocket: string;
    steps: Step[];
}

/** One step for each lot that goes in or out, in the order in which the kit is never worse than it was. */
export function stepsOf(plan: Schemas['RestockResource'], elsewhere: string): Step[] {
    const steps = [
        ...plan.out.map((row): Step => ({
            key: `out ${row.step}`,
            way: 'out',
            pocket: row.pocket_id,
            row,
            quantity: String(row.quantity),
            isDone: false,
        })),
        ...plan.in.map((row): Step => ({
            key: `in ${row.step}`,
            way: 'in',
            // A companion that no line names lies in the first pocket.
            pocket: row.pocket_id ?? elsewhere,
            row,
            quantity: String(row.quantity),
            isDone: false,
        })),
    ];
    return steps.sort((one, other) => one.row.step - other.row.step);
}

export function stopsOf(steps: Step[]): Stop[] {
    const stops: Stop[] = [];
    for (const step of steps) {
        const last = stops.at(-1);
        if (last?.pocket === step.pocket) {
            last.steps.push(step);
        } else {
            stops.push({ key: step.key, pocket: step.pocket, steps: [step] });
        }
    }
    return stops;
}

/** What has to be in before this leaves, and is not. */
export function waitsFor(step: Step, steps: Step[]): Step[] {
    return step.way === 'in'
        ? []
        : steps.filter(
              (one) =>
                  step.row.after.includes(one.row.step) && (!one.isDone || Number(one.quantity) < one.row.quantity),
          );
}

/** With one or several steps ticked or changed: nothing stays ticked whose replacement is not in. */
export function changed(
    steps: Step[],
    which: (step: Step) => boolean,
    to: Partial<Pick<Step, 'quantity' | 'isDone'>>,
): Step[] {
    let now = steps;
    for (const step of steps.filter(which)) {
        const isTooSoon = to.isDone === true && waitsFor(step, now).length > 0;
        now = isTooSoon ? now : now.map((one) => (one.key === step.key ? { ...one, ...to } : one));
    }
    return now.map((one) => (one.isDone && waitsFor(one, now).length > 0 ? { ...one, isDone: false } : one));
}
