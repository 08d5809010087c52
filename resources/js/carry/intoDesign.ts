import type { Schemas } from '../api/client';
import { addLine } from '../design/lines';
import type { Draft } from '../design/packing';
import { words } from './words';

/**
 * What is to be carried as lines of a design: of each item what is more than it asks for already, on the line that it adds for that item
 * alone, or on a new one. What is asked for by a line that another item fills first is not known here, and counts as not asked for.
 *
 * @param lines of the draft, with what fills them
 */
export function withCarried(
    draft: Draft,
    lines: readonly Schemas['ForeseenLine'][],
    rows: readonly Schemas['CarriedItem'][],
): { draft: Draft; changed: number } {
    const codes = lines.map((line) => line.code);
    let changed = 0;
    for (const row of rows) {
        if (row.item === null) {
            continue;
        }
        const asked = lines.filter((line) => line.item === row.item).reduce((sum, line) => sum + line.pieces, 0);
        const more = row.par - asked;
        if (more <= 0) {
            continue;
        }
        changed++;
        const own = draft.additions.find(
            (one) => one.quantity !== null && one.accepts.length === 1 && one.accepts[0]?.item === row.item,
        );
        let code = own?.code;
        if (code === undefined) {
            ({ draft, code } = addLine(draft, { code: row.item, name: row.name ?? row.need }, codes));
        }
        draft = {
            ...draft,
            additions: draft.additions.map((one) =>
                one.code === code
                    ? {
                          ...one,
                          quantity: (own?.quantity ?? 0) + more,
                          reason: words.reason(row.uses, row.rate),
                      }
                    : one,
            ),
        };
    }
    return { draft, changed };
}
