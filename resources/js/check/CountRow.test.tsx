import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { keepToday } from '../api/today';
import { draftRow, kit, user } from '../testing/samples';
import { CountRow } from './CountRow';
import { begin, type Draft, type DraftRow } from './draft';
import { counted } from './rows';

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
        render(<Rows rows={[draftRow()]} />);
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
        render(<Rows rows={[draftRow(), draftRow({ key: 'next', lot: 'B2', recorded: 2 })]} />);
        counts()[0]?.focus();
        await userEvent.keyboard('{Enter}');
        expect(now.rows.map((row) => row.quantity)).toEqual(['4', '']);
        expect(document.activeElement).toBe(counts()[1]);
        await userEvent.keyboard('5{Enter}');
        expect(now.rows.map((row) => row.quantity)).toEqual(['4', '5']);
    });

    it('takes whole numbers only, and counts nothing else', async () => {
        render(<Rows rows={[draftRow()]} />);
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
        render(<Rows rows={[draftRow()]} />);
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
        render(<Rows rows={[draftRow()]} />);
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
        render(<Rows rows={[draftRow()]} />);
        counts()[0]?.focus();
        await userEvent.keyboard('c');
        const dialog = within(await screen.findByRole('dialog'));
        await userEvent.click(dialog.getByRole('radio', { name: /^Soiled/ }));
        const pieces = dialog.getByRole('textbox', { name: 'How many of 4' });
        await userEvent.clear(pieces);
        await userEvent.type(pieces, '9');
        expect(dialog.getByText('From 1 to 4.')).toBeTruthy();
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
        render(<Rows rows={[draftRow({ added: true, lot: 'C3' })]} errors={{ 'rows.0.lot': ['Not on record.'] }} />);
        expect(screen.getByRole('alert').textContent).toBe('Not on record.');
        await userEvent.click(screen.getByRole('checkbox', { name: /This lot is new/ }));
        expect(now.rows[0]?.newLot).toBe(true);
        expect(screen.queryByRole('alert')).toBeNull();
        await userEvent.click(screen.getByRole('button', { name: /^Not found after all/ }));
        expect(now.rows).toEqual([]);
    });
});
