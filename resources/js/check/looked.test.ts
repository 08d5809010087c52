import { describe, expect, it } from 'vitest';
import { kit, sealedModule, user } from '../testing/samples';
import { begin, changeRow, toggleNoneFound, type Draft } from './draft';
import { setModule } from './modules';
import { answeredLines, lookAt } from './looked';

const lines = [
    { code: 'L1', count_first: true, pocket_id: 'front' },
    { code: 'L2', count_first: true, pocket_id: 'back' },
    { code: 'L3', count_first: false, pocket_id: 'back' },
] as const;

function counting(draft: Draft, line: string): Draft {
    return draft.rows
        .filter((row) => row.line === line)
        .reduce((now, row) => changeRow(now, row.key, { quantity: String(row.recorded) }), draft);
}

describe('a check is a look', () => {
    it('says nothing before anything was looked at', () => {
        expect(lookAt(begin(kit(), user, 'full'), lines)).toMatchObject({ done: 0, needed: 2, isJudged: false });
    });

    it('counts a line only when all of its rows are settled', () => {
        const begun = begin(kit(), user, 'full');
        const first = begun.rows.find((row) => row.line === 'L1');
        const one = changeRow(begun, first?.key ?? '', { quantity: '4' });
        expect([...lookAt(one, lines).looked]).toEqual([]);
        expect([...lookAt(counting(begun, 'L1'), lines).looked]).toEqual(['L1']);
        const unread = changeRow(counting(begun, 'L1'), first?.key ?? '', { unread: '13/27' });
        expect([...lookAt(unread, lines).looked]).toEqual([]);
    });

    it('has a status once every line to count first was looked at, whatever the others', () => {
        const done = counting(counting(begin(kit(), user, 'full'), 'L1'), 'L2');
        expect(lookAt(done, lines)).toMatchObject({ done: 2, needed: 2, isJudged: true });
        expect(lookAt(done, lines).looked.has('L3')).toBe(false);
        expect(lookAt(toggleNoneFound(done, 'L3'), lines).looked.has('L3')).toBe(true);
    });

    it('needs every line where all are to be counted first', () => {
        const optional = lines.map((line) => ({ ...line, count_first: true }));
        const done = counting(counting(begin(kit(), user, 'full'), 'L1'), 'L2');
        expect(lookAt(done, optional)).toMatchObject({ done: 2, needed: 3, isJudged: false });
        expect(lookAt(toggleNoneFound(done, 'L3'), optional).isJudged).toBe(true);
    });

    it('has no status from a copy that was made before an upgrade until every line was counted', () => {
        const old = lines.map(({ code, pocket_id }) => ({ code, pocket_id }));
        const begun = begin(kit(), user, 'full');
        expect(lookAt(begun, old)).toMatchObject({ done: 0, needed: 3, isJudged: false });
        const done = counting(counting(begun, 'L1'), 'L2');
        expect(lookAt(done, old).isJudged).toBe(false);
        expect(lookAt(toggleNoneFound(done, 'L3'), old).isJudged).toBe(true);
    });

    it('says of each line, when it is signed, that it was looked at', () => {
        const begun = begin(kit(), user, 'full');
        expect(answeredLines(begun)).toEqual([]);
        expect(answeredLines(counting(begun, 'L1'))).toEqual(['L1']);
        expect(answeredLines(toggleNoneFound(counting(counting(begun, 'L1'), 'L2'), 'L3'))).toEqual(['L1', 'L2', 'L3']);
    });

    it('takes what lies in a module that was left closed as looked at', () => {
        const begun = begin(kit({ modules: [sealedModule()] }), user, 'full');
        const inModule = [{ code: 'M.L1', count_first: true, pocket_id: 'roll.in' }] as const;
        expect(lookAt(begun, inModule).isJudged).toBe(false);
        expect(lookAt(setModule(begun, 'QH-M1', { state: 'closed' }), inModule).isJudged).toBe(true);
    });
});
