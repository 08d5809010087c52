import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { answer, refuse, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';
import ConfirmPage from './ConfirmPage';

afterEach(() => vi.unstubAllGlobals());

type Line = Schemas['ListLineResource'];

const line = (code: string, need: string, of: Partial<Line> = {}): Line => ({
    code,
    need,
    rank: 'required',
    required: '4',
    quantity: 4,
    total_measure: null,
    total_quantity: null,
    accepts: [{ text: 'any dressing' } as Schemas['EntryResource']],
    reason: null,
    anyone_may_use: false,
    per: 'trip',
    confirmation: null,
    ...of,
});

const compared = (outcome: 'matches' | 'differs' | 'absent', figure: string | null = null) =>
    ({ outcome, figure, note: null }) as Schemas['ConfirmationResource'];

const list = (lines: Line[]) =>
    ({
        id: 'l1',
        title: 'Workshop list',
        size: null,
        edition: '1',
        basis: 'the yellow book',
        confirmed: false,
        lines,
    }) as unknown as Schemas['ListResource'];

function open(lines: Line[], says: (sent: Sent) => Response = () => answer({})) {
    const sent = serve((one) => (one.method === 'GET' ? answer(list(lines)) : says(one)));
    show(
        <Routes>
            <Route path="/lists/:id/confirm" element={<ConfirmPage />} />
            <Route path="/lists/:id" element={<p>The confirmed list</p>} />
        </Routes>,
        ['confirm'],
        '/lists/l1/confirm',
    );
    return () => sent.filter((one) => one.method !== 'GET');
}

const two = () => [line('L1', 'Medium dressing'), line('L2', 'Large dressing', { required: '2' })];

describe('confirming a list beside one’s own copy', () => {
    it('says how far it is, and goes on with the next line once one is compared', async () => {
        const sent = open(two(), () =>
            answer(list([line('L1', 'Medium dressing', { confirmation: compared('matches') }), ...two().slice(1)])),
        );
        await screen.findByRole('heading', { name: 'Medium dressing' });
        expect(screen.getByText('0 of 2 lines compared')).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Confirm this edition' })).toBeNull();
        await userEvent.click(screen.getByRole('button', { name: 'Matches my copy' }));
        await screen.findByRole('heading', { name: 'Large dressing' });
        expect(screen.getByText('1 of 2 lines compared')).toBeTruthy();
        expect(sent()).toEqual([
            {
                method: 'PUT',
                path: '/api/lists/l1/confirmations/L1',
                body: { outcome: 'matches', figure: null, note: null },
            },
        ]);
    });

    it('keeps a figure that is refused where it was typed, with the reason', async () => {
        const sent = open(two(), () => refuse(422, 'Not accepted', { figure: ['A whole number of pieces.'] }));
        await userEvent.type(await screen.findByLabelText('Figure in my copy'), '6 or so');
        await userEvent.click(screen.getByRole('button', { name: 'Differs' }));
        expect(await screen.findByText('A whole number of pieces.')).toBeTruthy();
        expect(screen.getByLabelText<HTMLInputElement>('Figure in my copy').value).toBe('6 or so');
        expect(sent()[0]?.body).toEqual({ outcome: 'differs', figure: '6 or so', note: null });
        expect(screen.getByRole('heading', { name: 'Medium dressing' })).toBeTruthy();
    });

    it('says of every line what came of it, and leads back to one', async () => {
        open([
            line('L1', 'Medium dressing', { confirmation: compared('differs', '6') }),
            line('L2', 'Large dressing', { confirmation: compared('absent') }),
            line('L3', 'Finger dressing'),
        ]);
        await screen.findByRole('heading', { name: 'Finger dressing' });
        expect(screen.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
            'Medium dressing: 4 ≠ differs, 6',
            'Large dressing: 4 – not in my copy',
            'Finger dressing: 4 not compared',
        ]);
        await userEvent.click(screen.getByRole('button', { name: 'Medium dressing: 4' }));
        expect(screen.getByLabelText<HTMLInputElement>('Figure in my copy').value).toBe('6');
    });

    it('is confirmed only when all is compared, and without a critical line only with a reason', async () => {
        const sent = open([line('L1', 'Medium dressing', { confirmation: compared('matches') })], () =>
            answer({ concerned: 0, judged: 0, changes: [] }),
        );
        const confirm = await screen.findByRole<HTMLButtonElement>('button', { name: 'Confirm this edition' });
        expect(confirm.disabled).toBe(true);
        await userEvent.type(screen.getByLabelText('Why no line is critical'), 'A spare of plasters alone');
        expect(confirm.disabled).toBe(false);
        await userEvent.click(confirm);
        expect(await screen.findByText('The confirmed list')).toBeTruthy();
        expect(sent().at(-1)).toEqual({
            method: 'POST',
            path: '/api/lists/l1/confirmation',
            body: { no_critical_because: 'A spare of plasters alone' },
        });
    });
});
