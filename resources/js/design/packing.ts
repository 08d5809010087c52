import type { Schemas } from '../api/client';
import { newId } from '../api/newId';

export type Draft = Schemas['Draft'];
export type Compartment = Schemas['DraftCompartment'];
export type Placement = Schemas['DraftPlacement'];

/** A design on this device while it is packed. */
export interface Packing {
    /** Null: a new one. */
    design: string | null;
    /** The ids that it gets, so that sent twice it is one. */
    id: string;
    edition: string;
    /** The edition that it was begun from. */
    base: string | null;
    number: number;
    name: string;
    serves: string | null;
    draft: Draft;
}

/** Where what is packed for a design is kept on this device. */
export const keptPacking = (design: string): string => `packing.${design}`;

/** A design as it is when somebody begins to pack it otherwise. */
export function beginPacking(start: Schemas['DraftStart']): Packing {
    return {
        design: start.design,
        id: newId(),
        edition: newId(),
        base: start.edition,
        number: start.number ?? 0,
        name: start.name,
        serves: start.serves,
        draft: start.draft,
    };
}

/** Numbered from the first drawn; what lies inside a pocket stands below all of its part. */
export interface DrawnPocket {
    compartment: Compartment;
    depth: number;
    row: number;
}

export function partsOf(draft: Draft): Compartment[] {
    return draft.compartments.filter((one) => one.parent_id === null);
}

export function inside(draft: Draft, id: string): Compartment[] {
    return draft.compartments.filter((one) => one.parent_id === id);
}

/** The pockets of a part as the open kit draws them: what lies inside one stands below. */
export function drawn(draft: Draft, part: string): DrawnPocket[] {
    const own = inside(draft, part);
    let below = Math.max(0, ...own.map((one) => one.row + one.row_span - 1));
    return own.flatMap((one) => [
        { compartment: one, depth: 1, row: one.row },
        ...inside(draft, one.id).map((inner) => ({ compartment: inner, depth: 2, row: ++below })),
    ]);
}

/** "Main, Wounds" */
export function pathOf(draft: Draft, id: string): string {
    const one = draft.compartments.find((compartment) => compartment.id === id);
    if (!one) {
        return '';
    }
    return one.parent_id === null ? one.name : `${pathOf(draft, one.parent_id)}, ${one.name}`;
}

/** Where lines may go: pockets and pouches, with their paths. */
export function pocketsOf(draft: Draft): (readonly [id: string, path: string])[] {
    return partsOf(draft).flatMap((part) =>
        drawn(draft, part.id)
            .filter(({ compartment }) => compartment.kind !== 'slot')
            .map(({ compartment }) => [compartment.id, pathOf(draft, compartment.id)] as const),
    );
}

export function linesIn(draft: Draft, compartment: string): Placement[] {
    return draft.placements.filter((one) => one.compartment === compartment);
}

/** A name that nothing beside it has yet. */
function freeName(draft: Draft, parent: string | null, word: string): string {
    const taken = draft.compartments.filter((one) => one.parent_id === parent).map((one) => one.name);
    let number = 1;
    while (taken.includes(`${word} ${number}`)) {
        number++;
    }
    return `${word} ${number}`;
}

/** A new compartment where there is room for it: the next free half of a row. */
export function addCompartment(
    draft: Draft,
    {
        id,
        parent,
        kind,
        word,
        slot = null,
    }: { id: string; parent: string | null; kind: Compartment['kind']; word: string; slot?: string | null },
): Draft {
    const beside = draft.compartments.filter((one) => one.parent_id === parent);
    const isTaken = (row: number, column: number) =>
        beside.some(
            (one) =>
                row >= one.row &&
                row < one.row + one.row_span &&
                column >= one.column &&
                column < one.column + one.column_span,
        );
    let cell = 0;
    while (isTaken(Math.floor(cell / 2) + 1, (cell % 2) + 1)) {
        cell++;
    }
    const made: Compartment = {
        id,
        parent_id: parent,
        kind,
        name: freeName(draft, parent, word),
        row: parent === null ? 1 : Math.floor(cell / 2) + 1,
        column: parent === null ? 1 : (cell % 2) + 1,
        row_span: 1,
        column_span: 1,
        closure: null,
        outside: false,
        sealed: false,
        caution: null,
        properties: [],
        slot_design: slot,
        max_mass_g: null,
        volume_ml: null,
        looked_for: [],
    };
    return { ...draft, compartments: [...draft.compartments, made] };
}

export function changeCompartment(draft: Draft, id: string, to: Partial<Compartment>): Draft {
    return { ...draft, compartments: draft.compartments.map((one) => (one.id === id ? { ...one, ...to } : one)) };
}

/** Without the compartment and what lies in it; its lines lie in none then. */
export function removeCompartment(draft: Draft, id: string): Draft {
    const gone = new Set([id]);
    let before = 0;
    while (gone.size > before) {
        before = gone.size;
        draft.compartments
            .filter((one) => one.parent_id !== null && gone.has(one.parent_id))
            .forEach((one) => gone.add(one.id));
    }
    return {
        ...draft,
        compartments: draft.compartments.filter((one) => !gone.has(one.id)),
        placements: draft.placements.filter((one) => !gone.has(one.compartment)),
        configurations: draft.configurations.map((one) => ({
            ...one,
            slots: one.slots.filter((slot) => !gone.has(slot)),
        })),
    };
}

/** Changes places with the one before or after it: order, and where each is drawn. */
export function shiftCompartment(draft: Draft, id: string, by: 1 | -1): Draft {
    const one = draft.compartments.find((compartment) => compartment.id === id);
    const beside = draft.compartments.filter((compartment) => compartment.parent_id === one?.parent_id);
    const other = one && beside[beside.indexOf(one) + by];
    if (!one || !other) {
        return draft;
    }
    const at = ({ row, column, row_span, column_span }: Compartment) => ({ row, column, row_span, column_span });
    return {
        ...draft,
        compartments: draft.compartments.map((compartment) =>
            compartment.id === one.id
                ? { ...other, ...at(one) }
                : compartment.id === other.id
                  ? { ...one, ...at(other) }
                  : compartment,
        ),
    };
}

/** The same with compartments of its own, for another design. */
export function anew(draft: Draft, makeId: () => string): Draft {
    const ids = new Map(draft.compartments.map((one) => [one.id, makeId()]));
    const of = (id: string) => ids.get(id) ?? id;
    return {
        ...draft,
        compartments: draft.compartments.map((one) => ({
            ...one,
            id: of(one.id),
            parent_id: one.parent_id === null ? null : of(one.parent_id),
        })),
        placements: draft.placements.map((one) => ({ ...one, compartment: of(one.compartment) })),
        configurations: draft.configurations.map((one) => ({ ...one, slots: one.slots.map(of) })),
    };
}
