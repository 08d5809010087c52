import type { Schemas } from '../api/client';

/** What a line accepts, as it is typed: an item by its code, or a class with limits such as "width 10 cm, height 10 cm". */
export interface EditedEntry {
    kind: 'item' | 'class';
    item: string;
    class: string;
    least: string;
    /** Maximum measures; typing kept from before they existed has none. */
    most?: string;
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
    /** What its quantity grows with. */
    per?: 'trip' | 'people' | 'person_days';
}

export interface EditedList {
    title: string;
    basis: string;
    excludes: string;
    /** For how many people and days the list is made; both empty where nobody said it. */
    people?: string;
    days?: string;
    lines: EditedLine[];
}

export const freshEntry: EditedEntry = { kind: 'item', item: '', class: '', least: '', most: '' };

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
        per: 'trip',
    };
}

/** What serves a line of a list or a need of an emergency, as it is typed. */
export function entriesOf(accepts: Schemas['EntryResource'][]): EditedEntry[] {
    return accepts.map((entry) => ({
        kind: entry.item === null ? 'class' : 'item',
        item: entry.item ?? '',
        class: entry.class ?? '',
        least: entry.minima.map(sayLimit).join(', '),
        most: entry.maxima.map(sayLimit).join(', '),
    }));
}

const sayLimit = (limit: { measure: string; quantity: string }) => `${limit.measure} ${limit.quantity}`;

export function entriesToSend(entries: EditedEntry[]) {
    return entries.map((entry) =>
        entry.kind === 'item'
            ? { item: entry.item || null }
            : { class: entry.class.trim(), minima: limits(entry.least), maxima: limits(entry.most ?? '') },
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
        per: line.per,
    }));
}

/** Reads limits as they are typed: "width 10 cm, height 10 cm". */
export function limits(typed: string): { measure: string; quantity: string }[] {
    return typed
        .split(',')
        .map((part) => part.trim())
        .filter((part) => part !== '')
        .map((part) => {
            const [measure = '', ...quantity] = part.split(/\s+/);
            return { measure: measure.toLowerCase(), quantity: quantity.join(' ') };
        });
}

/** Gives null where nothing is typed; 0, which is refused at its field, where it is no whole number. */
function wholeOrNull(typed: string): number | null {
    const figure = typed.trim();
    return figure === '' ? null : /^\d{1,6}$/.test(figure) ? Number(figure) : 0;
}

export function listToSend(typed: EditedList, list: Schemas['ListResource']): Schemas['WrittenList'] {
    return {
        base: list.revision,
        title: typed.title.trim(),
        size: list.size,
        basis: typed.basis.trim(),
        made_for_people: wholeOrNull(typed.people ?? ''),
        made_for_days: wholeOrNull(typed.days ?? ''),
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
            per: line.per ?? 'trip',
        })),
    };
}
