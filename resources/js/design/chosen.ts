import type { Schemas } from '../api/client';
import type { Draft } from './packing';

export type Chosen = { kind: 'compartment'; id: string } | { kind: 'line'; code: string; from: string | null } | null;

export interface PackedKitProps {
    draft: Draft;
    lines: ReadonlyMap<string, Schemas['ForeseenLine']>;
    loads: ReadonlyMap<string | null, Schemas['ForeseenLoad']>;
    designs: ReadonlyMap<string, string>;
    chosen: Chosen;
    onChoose: (chosen: Chosen) => void;
    onAddPocket: (part: string) => void;
    onMove: (line: string, from: string | null, to: string | null) => void;
    onShift: (chosen: NonNullable<Chosen>, by: 1 | -1) => void;
}

/** What a line is dragged as: its code and where it comes from. */
export const DRAGGED = 'application/x-sarcina-line';

export function isChosen(chosen: Chosen, compartment: string): boolean {
    return chosen?.kind === 'compartment' && chosen.id === compartment;
}
