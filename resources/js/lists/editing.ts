import type { Schemas } from '../api/client';

/** What a line accepts, as it is typed: an item by its code, or a class with least measures such as "width 10 cm, height 10 cm". */
export interface EditedEntry {
    kind: 'item' | 'class';
    item: string;
    class: string;
    least: string;
}

export interface EditedLine {
    code: string;
    need: string;
    rank: 'critical' | 'required' | 'optional';
    /** Pieces, or a measure in all. */
    asks: 'pieces' | 'total';
    quantity: string;
    measure: string;
    total: string;
    accepts: EditedEntry[];
    reason: string;
    anyoneMayUse: boolean;
}

export interface EditedList {
    title: string;
    basis: string;
    excludes: string;
    lines: EditedLine[];
}

export const freshEntry: EditedEntry = { kind: 'item', item: '', class: '', least: '' };

/** A line with a code of its own: codes stay with their lines from edition to edition. */
export function freshLine(lines: EditedLine[]): EditedLine {
    const numbers = lines.map((line) => Number(/^L(\d+)$/.exec(line.code)?.[1] ?? 0));
    return {
        code: `L${Math.max(0, ...numbers) + 1}`,
        need: '',
        rank: 'required',
        asks: 'pieces',
        quantity: '1',
        measure: 'length',
        total: '',
        accepts: [freshEntry],
        reason: '',
        anyoneMayUse: false,
    };
}

/** What serves a line of a list or a need of an emergency, as it is typed. */
export function entriesOf(accepts: Schemas['EntryResource'][]): EditedEntry[] {
    return accepts.map((entry) => ({
        kind: entry.item === null ? 'class' : 'item',
        item: entry.item ?? '',
        class: entry.class ?? '',
        least: entry.minima.map((least) => `${least.measure} ${least.quantity}`).join(', '),
    }));
}

export function entriesToSend(entries: EditedEntry[]) {
    return entries.map((entry) =>
        entry.kind === 'item'
            ? { item: entry.item || null }
            : { class: entry.class.trim(), minima: minima(entry.least) },
    );
}

export function linesOf(list: Schemas['ListResource']): EditedLine[] {
    return list.lines.map((line) => ({
        code: line.code,
        need: line.need,
        rank: line.rank,
        asks: line.total_quantity === null ? 'pieces' : 'total',
        quantity: line.quantity === null ? '' : String(line.quantity),
        measure: line.total_measure ?? 'length',
        total: line.total_quantity ?? '',
        accepts: entriesOf(line.accepts),
        reason: line.reason ?? '',
        anyoneMayUse: line.anyone_may_use,
    }));
}

/** Least measures as they are typed: "width 10 cm, height 10 cm". */
export function minima(least: string): { measure: string; quantity: string }[] {
    return least
        .split(',')
        .map((part) => part.trim())
        .filter((part) => part !== '')
        .map((part) => {
            const [measure = '', ...quantity] = part.split(/\s+/);
            return { measure: measure.toLowerCase(), quantity: quantity.join(' ') };
        });
}

export function listToSend(typed: EditedList, list: Schemas['ListResource']): Schemas['WrittenList'] {
    return {
        base: list.revision,
        title: typed.title.trim(),
        size: list.size,
        basis: typed.basis.trim(),
        excludes: typed.excludes
            .split(',')
            .map((part) => part.trim())
            .filter((part) => part !== ''),
        lines: typed.lines.map((line) => ({
            code: line.code,
            need: line.need.trim(),
            rank: line.rank,
            ...(line.asks === 'pieces'
                ? { quantity: /^\d+$/.test(line.quantity.trim()) ? Number(line.quantity) : 0 }
                : { total_measure: line.measure.trim().toLowerCase(), total_quantity: line.total.trim() || '?' }),
            accepts: entriesToSend(line.accepts),
            reason: line.reason.trim() || null,
            anyone_may_use: line.anyoneMayUse,
        })),
    };
}
