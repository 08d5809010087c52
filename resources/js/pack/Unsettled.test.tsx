import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import { Unsettled } from './Unsettled';

afterEach(() => vi.unstubAllGlobals());

const row = {
    id: 5,
    kit: 'QH-03',
    kit_name: 'Glasshouse',
    because: 'not_there',
    title: 'Restock by Mina Oduya, 26 Nov 2026',
    text: '2 Medium dressing, lot A1, were not there any more',
    operation: '01j',
    number: 44,
    pieces: null,
};

describe('what needs somebody', () => {
    it('says what was sent, by whom, and for which kit', async () => {
        serve(() => answer([row, { ...row, id: 6, number: null }]));
        show(<Unsettled />);
        expect(await screen.findByText('Needs you: 2 entries to settle')).toBeTruthy();
        expect(screen.getAllByText(/lot A1, were not there any more\./)).toHaveLength(2);
        expect(screen.getAllByText(/operation 44/)).toHaveLength(1);
        expect(screen.getAllByRole('link')[0]?.getAttribute('href')).toBe('/kits/QH-03');
    });

    it('is settled only with words, which stay where they are refused', async () => {
        let settled = false;
        const sent = serve((one) => {
            if (one.method === 'GET') {
                return answer(settled ? [] : [row]);
            }
            settled = (one.body as { note: string }).note.length > 4;
            return settled ? answer([]) : refuse(422, 'Not accepted.', { note: ['Say what you found in the kit.'] });
        });
        show(<Unsettled kit="QH-03" />);
        await userEvent.click(await screen.findByRole('button', { name: 'Settle' }));
        expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save' }).disabled).toBe(true);
        const note = screen.getByRole<HTMLInputElement>('textbox', { name: 'What you found and did' });
        await userEvent.type(note, 'ok{Enter}');
        expect(await screen.findByText('Say what you found in the kit.')).toBeTruthy();
        expect(note.value).toBe('ok');
        await userEvent.type(note, ', both are there{Enter}');
        await vi.waitFor(() => {
            expect(screen.queryByText(/Needs you/)).toBeNull();
        });
        expect(sent.filter((one) => one.method === 'PUT').at(-1)).toMatchObject({
            path: '/api/unsettled/5',
            body: { note: 'ok, both are there' },
        });
    });

    it('asks where pieces are that are unaccounted for', async () => {
        const pieces = { ...row, because: 'counted_later', pieces: 3 };
        const sent = serve((one) => (one.method === 'GET' ? answer([pieces]) : answer([])));
        show(<Unsettled />);
        await userEvent.click(await screen.findByRole('button', { name: 'Settle' }));
        await userEvent.type(screen.getByRole('textbox', { name: 'What you found and did' }), 'Found on the shelf');
        expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save' }).disabled).toBe(true);
        await userEvent.selectOptions(screen.getByLabelText('Where are the pieces?'), 'to_store');
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        await vi.waitFor(() => {
            expect(sent.filter((one) => one.method === 'PUT').at(-1)?.body).toEqual({
                note: 'Found on the shelf',
                where: 'to_store',
            });
        });
    });

    it('is not for those who may not check', async () => {
        serve(() => answer([row]));
        show(<Unsettled />, []);
        expect(await screen.findByText(/Needs you/)).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Settle' })).toBeNull();
    });
});
