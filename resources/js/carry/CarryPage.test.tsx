import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { keptForm } from '../offline/useKept';
import { answer, refuse } from '../testing/server';
import { show } from '../testing/show';
import CarryPage from './CarryPage';

afterEach(() => vi.unstubAllGlobals());

const row = (of: Partial<Schemas['CarriedItem']> = {}): Schemas['CarriedItem'] => ({
    item: 'plaster',
    name: 'Plaster',
    source: 'own',
    uses_known: 14,
    rate: '5.00',
    rate_least: '3.10',
    rate_most: '7.80',
    pieces_per_use: 2,
    mean: '0.4200',
    uses: 2,
    par: 4,
    chance: '0.9910',
    ...of,
});

const outcome: Schemas['CarryResource'] = {
    people: 12,
    days: 7,
    each: '0.9500',
    together: '0.9000',
    chance: '0.8800',
    common: '0.9720',
    covered: 300,
    days_on_record: 273,
    about: 'Starting points: they rest on no records of yours.',
    rows: [
        row(),
        row({ item: 'burn', name: 'Burn gel', source: 'starting', uses_known: 3, par: 0, uses: 0, rate_least: null }),
        row({ item: 'foil', name: 'Foil blanket', source: 'starting', uses_known: 0, rate_least: null }),
    ],
    without: ['Shears'],
};

/** What was asked of the server, each with its query. */
function open(reply: (query: URLSearchParams) => Response = () => answer(outcome), may: string[] = []) {
    const asked: URLSearchParams[] = [];
    const made: unknown[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
        const url = new URL(request.url);
        if (url.pathname === '/api/how-many') {
            asked.push(url.searchParams);
            return reply(url.searchParams);
        }
        if (request.method === 'POST') {
            made.push(await request.json());
            return answer({ id: 'l1', revision: 1, title: 'Camp', excludes: [] });
        }
        return answer([]);
    });
    show(<CarryPage />, may);
    return { person: userEvent.setup(), asked, made };
}

describe('how many to carry', () => {
    it('says of each figure what it rests on, and that few uses cannot tell', async () => {
        open();
        expect(await screen.findByText('own records, 14 uses, between 3.10 and 7.80')).toBeTruthy();
        expect(screen.getByText('starting point, 3 of 10 uses known: your records cannot tell yet')).toBeTruthy();
        expect(screen.getByText('starting point, no use on record')).toBeTruthy();
        expect(screen.getAllByText(/^▲ With this chance it is not needed\./)).toHaveLength(1);
        expect(screen.getByText(/^No rate is known for: Shears/)).toBeTruthy();
        expect(screen.getByText(/^A starting point, not law/)).toBeTruthy();
    });

    it.each([
        [300, 'Your records go over 273 days, of 300 people.'],
        [0, 'Your records go over 273 days. Say of how many people: no assessment is signed.'],
    ])('says of how many people the records are: %d', async (covered, text) => {
        open(() => answer({ ...outcome, covered }));
        expect(await screen.findByText(text)).toBeTruthy();
    });

    it('says what all together reach, and calculates with the common confidence', async () => {
        const { person, asked } = open();
        expect(await screen.findByText('The chance that all of it is enough together is 0.8800.')).toBeTruthy();
        expect(screen.getByText('Ask 0.9720 of each item, and all together reach 0.9000.')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Calculate with that' }));
        await waitFor(() => expect(asked.at(-1)?.get('each')).toBe('0.9720'));
        expect(asked.at(-1)?.get('together')).toBe('0.9');
    });

    it('leaves what was emptied empty', async () => {
        const { person, asked } = open();
        const together = await screen.findByLabelText('Chance that all are enough together');
        await person.clear(together);
        await person.click(screen.getByRole('button', { name: 'Calculate' }));
        await waitFor(() => expect(asked).toHaveLength(2));
        expect(asked[1]?.has('together')).toBe(false);
        expect(screen.getByLabelText('Chance that all are enough together')).toHaveProperty('value', '');
    });

    it('keeps what was typed where it is refused, and says what is wrong at its field', async () => {
        const { person } = open((query) =>
            query.get('days') === '0'
                ? refuse(422, 'Not accepted', { days: ['Enter for how many days, 1 to 400.'] })
                : answer(outcome),
        );
        const days = await screen.findByLabelText('Days');
        await person.clear(days);
        await person.type(days, '0');
        await person.click(screen.getByRole('button', { name: 'Calculate' }));
        expect(await screen.findByText('Enter for how many days, 1 to 400.')).toBeTruthy();
        expect(screen.getByLabelText('Days')).toHaveProperty('value', '0');
    });

    it('says so where no confidence of each reaches the target', async () => {
        open(() => answer({ ...outcome, common: null }));
        expect(await screen.findByText(/^Even 0.9999 of each item does not reach 0.9000 together/)).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Calculate with that' })).toBeNull();
    });

    it('becomes a house list of what is carried, to be looked through before it is saved', async () => {
        const keep = vi.spyOn(keptForm, 'keep');
        const { person, made } = open(undefined, ['plan']);
        await person.click(await screen.findByRole('button', { name: 'Make a house list of it' }));
        await person.type(screen.getByLabelText('Title'), 'Camp');
        await person.type(screen.getByLabelText('Code'), 'CAMP');
        await person.click(screen.getByRole('button', { name: 'Create list' }));
        await waitFor(() => expect(keep).toHaveBeenCalled());
        expect(made).toEqual([{ title: 'Camp', code: 'camp', from: null }]);
        const [name, typed] = keep.mock.calls[0] ?? [];
        expect(name).toBe('list.l1.1');
        expect(typed).toMatchObject({
            basis: 'Calculated for 12 people over 7 days, 0.9500 for each item',
            lines: [
                { need: 'Plaster', quantity: '4', reason: 'Enough for 2 uses at 5.00 in 1,000 person-days' },
                { need: 'Foil blanket', quantity: '4' },
            ],
        });
    });
});
