import type { Schemas } from '../api/client';
import { type Draft } from './draft';
import { moduleOf } from './modules';
import { isSettled } from './rows';

/** A copy from before an upgrade does not say which lines to count first: then all lines must be counted. */
type Line = Pick<Schemas['LineResource'], 'code' | 'pocket_id'> & Partial<Pick<Schemas['LineResource'], 'count_first'>>;

export interface Look {
    /** Lines that were looked at. */
    looked: ReadonlySet<string>;
    /** How many of the lines that a verdict needs. */
    done: number;
    needed: number;
    /** Whether so much was looked at that there is a verdict at all. */
    isJudged: boolean;
}

/** A line was looked at when every row of it is settled, or it was said that nothing of it is there, or its module was left closed. */
function isLooked(draft: Draft, line: Line): boolean {
    const rows = draft.rows.filter((row) => row.line === line.code);
    const closed = line.pocket_id !== null && moduleOf(draft, line.pocket_id)?.state === 'closed';
    if (closed) {
        return true;
    }
    if (!isSplitSaid(draft, line.code)) {
        return false;
    }
    return rows.length > 0
        ? rows.every((row) => isSettled(row) || moduleOf(draft, row.pocket)?.state === 'closed')
        : draft.noneFound.includes(line.code);
}

/** Of a line that is split each of its pockets was looked into: something stands there, or it was said that nothing does. */
function isSplitSaid(draft: Draft, line: string): boolean {
    return (draft.shares ?? [])
        .filter((share) => share.line === line)
        .every(
            (share) =>
                draft.noneFound.includes(line) ||
                draft.rows.some((row) => row.line === line && row.pocket === share.pocket),
        );
}

/** Says how far a check has come. There is no status until all lines to count first are counted. */
export function lookAt(draft: Draft, lines: readonly Line[]): Look {
    const looked = new Set(lines.filter((line) => isLooked(draft, line)).map((line) => line.code));
    const needed = lines.filter((line) => line.count_first ?? true);
    const done = needed.filter((line) => looked.has(line.code)).length;
    return { looked, done, needed: needed.length, isJudged: done === needed.length };
}

/** Whether a reason is about something that was looked at: what is on record is not what is found. */
export function isOfLooked(reason: Schemas['ReasonResource'], look: Look): boolean {
    return look.isJudged || (reason.line !== null && look.looked.has(reason.line));
}

/** Codes of the lines that were looked at, as a signed check says them. */
export function answeredLines(draft: Draft): string[] {
    const isClosed = (pocket: string) => moduleOf(draft, pocket)?.state === 'closed';
    const codes = new Set(draft.rows.flatMap((row) => (row.line === null || isClosed(row.pocket) ? [] : [row.line])));
    const open = new Set(
        draft.rows.flatMap((row) => (row.line !== null && !isClosed(row.pocket) && !isSettled(row) ? [row.line] : [])),
    );
    return [
        ...new Set([...[...codes].filter((code) => !open.has(code) && isSplitSaid(draft, code)), ...draft.noneFound]),
    ];
}
