import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keepToday } from '../api/today';
import { draftRow, kit, user } from '../testing/samples';
import { answer, serve } from '../testing/server';
import { show } from '../testing/show';
import { CountRow } from './CountRow';
import { begin, type Draft, type DraftRow } from './draft';
import { counted, isSettled } from './rows';

let now: Draft;

function Rows({ rows, errors = {} }: { rows: DraftRow[]; errors?: Record<string, string[]> }) {
    const [draft, setDraft] = useState<Draft>(() => ({ ...begin(kit(), user, 'full'), rows, errors }));
    useEffect(() => {
        now = draft;
    }, [draft]);
    return draft.rows.map((row, index) => (
        <CountRow
            key={row.key}
            row={row}
            index={index}
            draft={draft}
            change={(to) => setDraft((was) => to(was))}
            shownName={null}
        />
    ));
}

const counts = () => screen.getAllByRole<HTMLInputElement>('textbox', { name: /^Count of/ });

describe('a row that is counted', () => {
    beforeEach(() => keepToday('2026-11-27'));

    it('says what is recorded, and the difference once it is counted', async () => {
        show(<Rows rows={[draftRow()]} />);
        expect(screen.getByText(/counted, 4 recorded/)).toBeTruthy();
        expect(screen.getByText(/lot A1, expires Mar 2027/)).toBeTruthy();
        await userEvent.type(screen.getByRole('textbox', { name: /^Count of/ }), '3');
        expect(screen.getByText(/1 fewer/)).toBeTruthy();
        await userEvent.clear(screen.getByRole('textbox', { name: /^Count of/ }));
        await userEvent.type(screen.getByRole('textbox', { name: /^Count of/ }), '06');
        expect(screen.getByText(/2 more/)).toBeTruthy();
        expect(now.rows[0]?.quantity).toBe('6');
    });

    it('takes what is recorded by Enter and goes to the next', async () => {
        show(<Rows rows={[draftRow(), draftRow({ key: 'next', lot: 'B2', recorded: 2 })]} />);
        counts()[0]?.focus();
        await userEvent.keyboard('{Enter}');
        expect(now.rows.map((row) => row.quantity)).toEqual(['4', '']);
        expect(document.activeElement).toBe(counts()[1]);
        await userEvent.keyboard('5{Enter}');
        expect(now.rows.map((row) => row.quantity)).toEqual(['4', '5']);
    });

    it('takes whole numbers only, and counts nothing else', async () => {
        show(<Rows rows={[draftRow()]} />);
        for (const typed of ['-3', '1.5', '2e1', 'x']) {
            await userEvent.clear(counts()[0] as HTMLElement);
            await userEvent.type(counts()[0] as HTMLElement, typed.replace('x', 'four'));
            expect(screen.getByText('A count is a whole number, such as 4. Count again.')).toBeTruthy();
            expect(counts()[0]?.getAttribute('aria-invalid')).toBe('true');
            expect(now.rows.map(counted)).toEqual([null]);
        }
        await userEvent.clear(counts()[0] as HTMLElement);
        await userEvent.type(counts()[0] as HTMLElement, '3');
        expect(now.rows.map(counted)).toEqual([3]);
        expect(screen.queryByText(/whole number/)).toBeNull();
    });

    it('asks once whether the day or the month is first, and refuses a day that there is not', async () => {
        localStorage.clear();
        show(<Rows rows={[draftRow()]} />);
        counts()[0]?.focus();
        await userEvent.keyboard('d');
        const date = screen.getByRole<HTMLInputElement>('textbox', { name: /^Date of/ });
        await userEvent.clear(date);
        await userEvent.type(date, '29 FEB 2027');
        expect(screen.getByText('There is no such day or month. Read the pack again.')).toBeTruthy();
        await userEvent.clear(date);
        await userEvent.type(date, '12/03/2027');
        expect(screen.getByRole('button', { name: 'Month first: 3 Dec 2027' })).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Day first: 12 Mar 2027' }));
        expect(now.rows[0]).toMatchObject({ expires: '2027-03-12', unread: null });
        expect(screen.queryByRole('button', { name: /^Day first/ })).toBeNull();
        const again = screen.getByRole<HTMLInputElement>('textbox', { name: /^Date of/ });
        await userEvent.clear(again);
        await userEvent.type(again, '1.4.28{Enter}');
        expect(now.rows[0]?.expires).toBe('2028-04-01');
    });

    it('keeps a date that cannot be read as typed, and says how to type it', async () => {
        show(<Rows rows={[draftRow()]} />);
        counts()[0]?.focus();
        await userEvent.keyboard('d');
        const date = screen.getByRole<HTMLInputElement>('textbox', { name: /^Date of/ });
        expect(document.activeElement).toBe(date);
        await userEvent.clear(date);
        await userEvent.type(date, '13th of March{Enter}');
        expect(now.rows[0]).toMatchObject({ unread: '13th of March', expires: '2027-03' });
        expect(screen.getByText(/Type it as printed/)).toBeTruthy();
        expect(document.activeElement).toBe(counts()[0]);
        await userEvent.clear(date);
        await userEvent.type(date, '12 apr 27');
        await userEvent.tab();
        expect(now.rows[0]).toMatchObject({ unread: null, expires: '2027-04-12' });
    });

    it('puts some of the pieces into another condition', async () => {
        show(<Rows rows={[draftRow()]} />);
        counts()[0]?.focus();
        await userEvent.keyboard('c');
        const dialog = within(await screen.findByRole('dialog'));
        await userEvent.click(dialog.getByRole('radio', { name: /^Soiled/ }));
        const pieces = dialog.getByRole('textbox', { name: 'How many of 4' });
        await userEvent.clear(pieces);
        await userEvent.type(pieces, '9');
        expect(dialog.getByText('A whole number from 1 to 4.')).toBeTruthy();
        expect(dialog.getByRole<HTMLButtonElement>('button', { name: 'Set condition' }).disabled).toBe(true);
        await userEvent.clear(pieces);
        await userEvent.type(pieces, '1{Enter}');
        expect(now.rows.map((row) => [row.quantity, row.condition])).toEqual([
            ['3', 'good'],
            ['1', 'soiled'],
        ]);
        expect(screen.getByText('▲ soiled')).toBeTruthy();
    });

    it('shows what was refused at it, and takes the lot as a new one', async () => {
        show(<Rows rows={[draftRow({ added: true, lot: 'C3' })]} errors={{ 'rows.0.lot': ['Not on record.'] }} />);
        expect(screen.getByRole('alert').textContent).toBe('Not on record.');
        await userEvent.click(screen.getByRole('checkbox', { name: /This lot is new/ }));
        expect(now.rows[0]?.newLot).toBe(true);
        expect(screen.queryByRole('alert')).toBeNull();
        await userEvent.click(screen.getByRole('button', { name: /^Not found after all/ }));
        expect(now.rows).toEqual([]);
    });

    it('asks whether so many are there that nobody would expect them', async () => {
        show(<Rows rows={[draftRow()]} />);
        await userEvent.type(counts()[0] as HTMLElement, '400');
        expect(screen.getByText('Are there 400, of 4 recorded?')).toBeTruthy();
        expect(isSettled(now.rows[0] as DraftRow)).toBe(false);
        await userEvent.click(screen.getByRole('button', { name: 'Yes, 400' }));
        expect(isSettled(now.rows[0] as DraftRow)).toBe(true);
        await userEvent.type(counts()[0] as HTMLElement, '4000');
        expect(isSettled(now.rows[0] as DraftRow)).toBe(false);
    });

    it('steps by a thumb from what is recorded, and not below none', async () => {
        show(<Rows rows={[draftRow({ recorded: 1 })]} />);
        const fewer = screen.getByRole('button', { name: /^One fewer/ });
        await userEvent.click(fewer);
        await userEvent.click(fewer);
        expect(now.rows[0]?.quantity).toBe('0');
        await userEvent.click(screen.getByRole('button', { name: /^One more/ }));
        expect(now.rows[0]?.quantity).toBe('1');
    });
});

describe('a lot that is not the recorded one', () => {
    beforeEach(() => keepToday('2026-11-27'));
    afterEach(() => vi.unstubAllGlobals());

    const other = () => draftRow({ quantity: '4', expires: '2027-04', origin: { lot: 'A1', expires: '2027-03' } });
    const lots = (known: { lot: string | null; expires: string | null }[]) => serve(() => answer(known));

    it('is settled at its row as a new one', async () => {
        lots([{ lot: 'A1', expires: '2027-03' }]);
        show(<Rows rows={[other()]} />);
        expect(await screen.findByText('A1, Apr 2027: this lot is not on record.')).toBeTruthy();
        expect(isSettled(now.rows[0] as DraftRow)).toBe(false);
        await userEvent.click(screen.getByRole('button', { name: 'It is a new lot' }));
        expect(now.rows[0]).toMatchObject({ newLot: true, lot: 'A1', expires: '2027-04' });
        expect(isSettled(now.rows[0] as DraftRow)).toBe(true);
    });

    it('is settled as a misprint on record, which the note then says', async () => {
        lots([]);
        show(<Rows rows={[other()]} />);
        await userEvent.click(await screen.findByRole('button', { name: 'The record has a misprint' }));
        expect(now.note).toBe('Medium dressing reads A1, Apr 2027; on record was A1, Mar 2027.');
        expect(isSettled(now.rows[0] as DraftRow)).toBe(true);
    });

    it('is settled as another lot on record, chosen by its number', async () => {
        lots([{ lot: 'B7', expires: '2029-01' }]);
        show(<Rows rows={[other()]} />);
        await userEvent.type(await screen.findByRole('combobox', { name: 'Another lot on record' }), 'B7');
        await userEvent.click(await screen.findByRole('option', { name: 'B7, Jan 2029' }));
        expect(now.rows[0]).toMatchObject({ lot: 'B7', expires: '2029-01', newLot: false });
        expect(isSettled(now.rows[0] as DraftRow)).toBe(true);
    });

    it('asks nothing where it is on record', async () => {
        lots([{ lot: 'A1', expires: '2027-04' }]);
        show(<Rows rows={[other()]} />);
        await vi.waitFor(() => expect(isSettled(now.rows[0] as DraftRow)).toBe(true));
        expect(screen.queryByText(/not on record/)).toBeNull();
    });

    it('is settled without a server too', async () => {
        serve(() => Promise.reject(new TypeError('offline')));
        show(<Rows rows={[other()]} />);
        expect(screen.getByText('A1, Apr 2027: this device does not know this lot.')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'It is a new lot' }));
        expect(isSettled(now.rows[0] as DraftRow)).toBe(true);
    });
});
