import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { draftRow, kit, sealedModule, user } from '../testing/samples';
import {
    addRow,
    begin,
    changeRow,
    conditions,
    countedRows,
    emptyLines,
    pocketAsRecorded,
    pocketsOf,
    progress,
    removeRow,
    rowsToSend,
    setCondition,
    sign,
    toggleNoneFound,
} from './draft';
import { moduleOf, setModule } from './modules';

const draft = () => begin(kit(), user, 'full');

describe('a check in progress', () => {
    it('begins with every row on record, and none of them counted', () => {
        const begun = draft();
        expect(begun.rows.map((row) => [row.pocket, row.lot, row.recorded, row.quantity])).toEqual([
            ['front', 'A1', 4, ''],
            ['front', 'B2', 2, ''],
            ['back', null, 6, ''],
        ]);
        expect(begun.base).toEqual({ epoch: 1, number: 40 });
        expect(begun.doneAt).toBeNull();
        expect(pocketsOf(kit())).toEqual(['front', 'back']);
    });

    it('says how far a pocket is: rows and lines of which nothing is there', () => {
        let now = draft();
        expect(progress(now, kit(), 'back')).toEqual({ done: 0, all: 2 });
        expect(emptyLines(now, kit(), 'back')).toEqual(['L3']);
        now = toggleNoneFound(now, 'L3');
        expect(progress(now, kit(), 'back')).toEqual({ done: 1, all: 2 });
        now = pocketAsRecorded(now, 'back', ['L3']);
        expect(progress(now, kit(), 'back')).toEqual({ done: 2, all: 2 });
        expect(progress(now, kit(), 'front')).toEqual({ done: 0, all: 2 });
        expect(toggleNoneFound(now, 'L3').noneFound).toEqual([]);
        expect(now.noneFound).toEqual(['L3']);
    });

    it('does not count what lies in a module that is left closed', () => {
        const held = kit({
            modules: [sealedModule()],
            contents: kit().contents.map((content, index) =>
                index === 2 ? { ...content, pocket_id: 'roll.in' } : content,
            ),
        });
        let now = begin(held, user, 'full');
        expect(moduleOf(now, 'roll.in')?.state).toBe('unsaid');
        expect(moduleOf(now, 'front')).toBeUndefined();
        expect(progress(now, held, 'roll.in').done).toBe(0);
        now = setModule(now, 'QH-M1', { state: 'closed' });
        expect(progress(now, held, 'roll.in')).toEqual({ done: 1, all: 1 });
        expect(rowsToSend(now)).toHaveLength(2);
        expect(countedRows(now)).toHaveLength(3);
        expect(rowsToSend(setModule(now, 'QH-M1', { state: 'opened' }))).toHaveLength(3);
    });

    it('is not done with a row whose date cannot be read', () => {
        const now = pocketAsRecorded(draft(), 'front', []);
        const key = now.rows[0]?.key ?? '';
        expect(progress(changeRow(now, key, { unread: '13/27' }), kit(), 'front').done).toBe(1);
    });

    it('leaves what was counted as it was counted', () => {
        let now = draft();
        now = changeRow(now, now.rows[0]?.key ?? '', { quantity: '0' });
        expect(pocketAsRecorded(now, 'front', []).rows.map((row) => row.quantity)).toEqual(['0', '2', '']);
        expect(countedRows(now).map((row) => row.quantity)).toEqual([0, 2, 6]);
    });

    it('splits pieces in another condition off, and none is lost or made', () => {
        fc.assert(
            fc.property(
                fc.integer({ min: 1, max: 60 }),
                fc.integer({ min: 1, max: 80 }),
                fc.constantFrom(...conditions),
                (there, pieces, condition) => {
                    const now = { ...draft(), rows: [draftRow({ recorded: there })] };
                    const rows = countedRows(setCondition(now, 'row', condition, pieces));
                    expect(rows.reduce((sum, row) => sum + row.quantity, 0)).toBe(there);
                    expect(rows.length).toBe(pieces < there ? 2 : 1);
                    expect(rows[pieces < there ? 1 : 0]?.condition).toBe(condition);
                    expect(new Set(rows.map((row) => row.lot))).toEqual(new Set(['A1']));
                },
            ),
        );
    });

    it('adds what was found and takes it back', () => {
        const added = addRow(draft(), {
            pocket: 'back',
            line: 'L3',
            item: 'foil-blanket',
            name: 'Foil blanket',
            dated: false,
        });
        const row = added.rows.at(-1);
        expect(row).toMatchObject({ quantity: '1', recorded: 0, added: true, lot: null });
        expect(emptyLines(added, kit(), 'back')).toEqual([]);
        expect(removeRow(added, row?.key ?? '').rows).toHaveLength(3);
    });

    it('forgets only the errors of the row that is changed', () => {
        const begun = { ...draft(), errors: { 'rows.0.lot': ['Not on record.'], 'rows.1.expires': ['No such day.'] } };
        const changed = changeRow(begun, begun.rows[0]?.key ?? '', { lot: 'C3' });
        expect(changed.errors).toEqual({ 'rows.1.expires': ['No such day.'] });
    });

    it('once signed waits to be sent, with the time of signing', () => {
        const signed = sign({
            ...draft(),
            errors: { note: ['Too long.'] },
            trouble: { title: '', detail: '', changes: [] },
        });
        expect(signed.isWaiting).toBe(true);
        expect(signed.errors).toEqual({});
        expect(signed.trouble).toBeNull();
        expect(Date.parse(signed.doneAt ?? '')).toBeGreaterThanOrEqual(Date.parse(signed.startedAt));
    });
});
