import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { answer, refuse, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';
import { Levels } from './Levels';
import { Loans } from './Loans';

afterEach(() => vi.unstubAllGlobals());

const loan = (of: Partial<Schemas['LoanResource']> = {}): Schemas['LoanResource'] => ({
    id: 'n1',
    way: 'lent',
    store: 's1',
    store_name: 'Cupboard',
    partner: 'Hill rescue team',
    due_on: '2026-11-24',
    overdue_days: 3,
    note: 'their camp',
    made_on: '2026-11-01',
    rows: [{ lot_id: 'l1', name: 'Splint', lot: 'S1', good_until: null, quantity: 4, back: 1 }],
    ...of,
});

const puts = (sent: Sent[]) => sent.filter((one) => one.method === 'PUT');

async function open(loans: Schemas['LoanResource'][], more: (sent: Sent) => Response | undefined, may = ['restock']) {
    const sent = serve((one) => more(one) ?? answer(loans));
    show(<Loans store="s1" />, may);
    await screen.findByRole('heading', { name: 'Lent and borrowed' });
    return { person: userEvent.setup(), sent };
}

describe('what is lent and borrowed', () => {
    it('says with whom, until when, how late it is, and how much is back', async () => {
        await open(
            [loan(), loan({ id: 'n2', way: 'borrowed', partner: 'River team', overdue_days: 0 })],
            () => undefined,
        );
        expect(screen.getByText('Lent to Hill rescue team')).toBeTruthy();
        expect(screen.getByText(/3 days overdue/)).toBeTruthy();
        expect(screen.getByText(/4 × Splint \(1 of 4 back\)/)).toBeTruthy();
        expect(screen.getByText('Borrowed from River team')).toBeTruthy();
        expect(screen.getByText(/4 × Splint \(1 of 4 given back\)/)).toBeTruthy();
    });

    it('comes back as it was counted, and what was typed stays where it is refused', async () => {
        const { person, sent } = await open([loan()], (one) =>
            one.method === 'PUT'
                ? refuse(422, 'Not accepted', { rows: ['Only 3 of these are still out.'] })
                : undefined,
        );
        await person.click(screen.getByRole('button', { name: 'Came back from Hill rescue team' }));
        const pieces = screen.getByLabelText('Splint, at most 3');
        expect(pieces).toHaveProperty('value', '3');
        await person.clear(pieces);
        expect(screen.getByRole('button', { name: 'Record' })).toHaveProperty('disabled', true);
        await person.type(pieces, '9');
        await person.click(screen.getByRole('button', { name: 'Record' }));
        expect((await screen.findAllByText('Only 3 of these are still out.')).length).toBeGreaterThan(0);
        expect(screen.getByLabelText('Splint, at most 3')).toHaveProperty('value', '9');
        await person.click(screen.getByRole('button', { name: 'Record' }));
        await waitFor(() => expect(puts(sent)).toHaveLength(2));
        expect(new Set(puts(sent).map((one) => one.path)).size).toBe(1);
    });

    it('ends with less than was out only for a reason', async () => {
        const { person, sent } = await open([loan()], () => undefined);
        await person.click(screen.getByRole('button', { name: 'Came back from Hill rescue team' }));
        await person.click(screen.getByLabelText('Nothing more will come back'));
        expect(screen.getByRole('button', { name: 'Record' })).toHaveProperty('disabled', true);
        await person.type(screen.getByLabelText('Why not'), 'One was used');
        await person.click(screen.getByRole('button', { name: 'Record' }));
        await waitFor(() => expect(puts(sent)).toHaveLength(1));
        expect(puts(sent)[0]?.body).toEqual({
            rows: [{ lot_id: 'l1', quantity: 3 }],
            final: true,
            note: 'One was used',
        });
    });

    it('is read by who may not restock', async () => {
        await open([loan()], () => undefined, []);
        expect(screen.queryByRole('button')).toBeNull();
    });
});

describe('the levels of a store', () => {
    it('are said in packs too, proposed by what was used, and set with a press', async () => {
        const sent = serve((one) => {
            if (one.path.endsWith('/proposed-levels')) {
                return answer([
                    {
                        item: 'pad',
                        name: 'Trauma pad',
                        least: 6,
                        target: 20,
                        restocks: 4,
                        pack: 10,
                        least_now: 3,
                        target_now: 10,
                    },
                ]);
            }
            return answer([{ item: 'pad', name: 'Trauma pad', least: 3, target: 10, there: 5, pack: 10 }]);
        });
        show(<Levels store="s1" />, ['plan']);
        const person = userEvent.setup();
        expect(await screen.findAllByText('1 pack of 10')).toHaveLength(2);
        await person.click(screen.getByRole('button', { name: 'Propose levels' }));
        expect(
            await screen.findByText(/^At least 6, fill up to 20, from 4 restocks \(rough\), 2 packs of 10. Set now/),
        ).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Set the level of Trauma pad' }));
        await waitFor(() => expect(puts(sent)).toHaveLength(1));
        expect(puts(sent)[0]).toMatchObject({ path: '/api/stores/s1/levels/pad', body: { least: 6, target: 20 } });
    });
});
