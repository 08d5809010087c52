import type { Schemas } from '../api/client';

interface StepBase {
    key: string;
    pocket: string;
    quantity: string;
    isDone: boolean;
    /** What goes in instead of what is listed. */
    instead?: Schemas['ShelfLot'] | null;
    /** The record has it in the store, and nobody found it there. */
    isAbsent?: boolean;
    /** What is done to it before was done. */
    isStaged?: boolean;
    /** Put in besides what is listed. */
    isAdded?: boolean;
}

export type StepChange = Partial<Pick<StepBase, 'quantity' | 'isDone' | 'instead' | 'isAbsent' | 'isStaged'>>;

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
        // What somebody adds waits for nothing: it goes in where the pocket is open anyway.
        const last = step.isAdded ? stops.find((stop) => stop.pocket === step.pocket) : stops.at(-1);
        if (last?.pocket === step.pocket) {
            last.steps.push(step);
        } else {
            stops.push({ key: step.key, pocket: step.pocket, steps: [step] });
        }
    }
    return stops;
}

/** Whether what goes in serves the same line as what is listed. */
export function servesAsListed(step: Step): boolean {
    return step.way === 'in' && (!step.instead || step.row.accepts.includes(step.instead.item));
}

/** What goes in: as listed, or what was put in instead. */
export function putOf(
    step: Step & { way: 'in' },
): Pick<Schemas['ShelfLot'], 'lot_id' | 'lot' | 'name' | 'good_until' | 'caution' | 'item_class'> {
    return step.instead ?? step.row;
}

/** Something of the store that is put in besides what is listed. */
export function addedStep(steps: Step[], pocket: string, lot: Schemas['ShelfLot'], quantity: number): Step {
    const step = 1 + Math.max(0, ...steps.map((one) => one.row.step));
    return {
        key: `in ${step}`,
        way: 'in',
        pocket,
        row: {
            ...lot,
            step,
            line: null,
            need: '',
            pocket_id: pocket,
            quantity,
            short_dated: false,
            stands_in: false,
            accepts: [],
            staging: lot.staging ?? null,
        },
        quantity: String(quantity),
        isDone: true,
        isAdded: true,
    };
}

/** What has to be in before this leaves, and is not. */
export function waitsFor(step: Step, steps: Step[]): Step[] {
    return step.way === 'in'
        ? []
        : steps.filter(
              (one) =>
                  step.row.after.includes(one.row.step) &&
                  (!one.isDone || Number(one.quantity) < one.row.quantity || !servesAsListed(one)),
          );
}

/** With one or several steps ticked or changed: nothing stays ticked whose replacement is not in. */
export function changed(steps: Step[], which: (step: Step) => boolean, to: StepChange): Step[] {
    let now = steps;
    for (const step of steps.filter(which)) {
        const isTooSoon = to.isDone === true && waitsFor(step, now).length > 0;
        now = isTooSoon ? now : now.map((one) => (one.key === step.key ? { ...one, ...to } : one));
    }
    return now.map((one) => (one.isDone && waitsFor(one, now).length > 0 ? { ...one, isDone: false } : one));
}
