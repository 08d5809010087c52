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
    line: 'L1',
    need: 'Plasters',
    rank: 'required',
    item: 'plaster',
    name: 'Plaster',
    unit: 'each',
    listed: 3,
    list: 3,
    uses_known: 14,
    rate: '5.00',
    setting_rate: '9.00',
    own_share: 40,
    own_least: '3.10',
    own_most: '7.80',
    pieces_per_use: 2,
    mean: '0.4200',
    uses: 2,
    par: 4,
    measure: null,
    from: 'uses',
    chance: '0.9910',
    ...of,
});

const outcome: Schemas['CarryResource'] = {
    people: 12,
    days: 7,
    setting: 'trip',
    each: '0.9500',
    together: '0.9000',
    chance: '0.8800',
    common: '0.9720',
    covered: 300,
    days_on_record: 273,
    weight: 500,
    about: 'Estimates: they rest on no records of yours.',
    list: 'list1',
    is_scaled: true,
    rows: [
        row(),
        row({
            line: 'L2',
            need: 'Tourniquet',
            rank: 'critical',
            item: 'tq',
            name: 'Tourniquet',
            listed: 2,
            list: 2,
            par: 2,
            uses: 0,
            from: 'list',
        }),
        row({
            line: 'L3',
            need: 'Shears',
            item: 'shears',
            name: 'Shears',
            rate: null,
            setting_rate: null,
            own_share: null,
            listed: 1,
            list: 1,
            par: 1,
            from: 'list',
            chance: null,
        }),
        row({
            line: 'L4',
            need: 'Gloves',
            item: 'gloves',
            name: 'Gloves',
            listed: 12,
            list: 24,
            par: 24,
            from: 'list',
            chance: '0.9999',
        }),
    ],
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
            return answer({
                id: 'l1',
                revision: 1,
                title: 'Camp',
                excludes: [],
                lines: ['L1', 'L2', 'L3', 'L4', 'L5'].map((code) => ({
                    code,
                    need: code,
                    rank: code === 'L2' ? 'critical' : 'required',
                    quantity: 7,
                    total_measure: null,
                    total_quantity: null,
                    accepts: [],
                    reason: null,
                    anyone_may_use: false,
                    per: 'trip',
                })),
            });
        }
        return answer([]);
    });
    show(<CarryPage />, may);
    return { person: userEvent.setup(), asked, made };
}

describe('how many to carry', () => {
    it('says the measure of a line that no item serves, and counts no piece for it', async () => {
        const rows = [...outcome.rows, row({ line: 'L5', need: 'Film', item: null, name: null, measure: '9 m' })];
        open(() => answer({ ...outcome, rows }));
        expect(await screen.findByRole('heading', { name: 'Carry 31 pieces on 5 lines' })).toBeTruthy();
        expect(screen.getByText('9 m')).toBeTruthy();
    });

    it('says first what to carry, and of each line what decides', async () => {
        open();
        expect(await screen.findByRole('heading', { name: 'Carry 31 pieces on 4 lines' })).toBeTruthy();
        expect(screen.getByText('Chance that nothing runs short: 88 %.')).toBeTruthy();
        expect(screen.getByText('From uses: enough for 2 uses. Your list asks for 3.')).toBeTruthy();
        expect(screen.getByText('From your list: 12 scaled to this trip')).toBeTruthy();
        expect(screen.getAllByText('From your list')).toHaveLength(2);
        expect(screen.getByText('Tourniquet, critical')).toBeTruthy();
        expect(screen.getByText('over 99 %')).toBeTruthy();
        expect(screen.getByText('by count')).toBeTruthy();
        expect(screen.queryByText(/0 pieces/)).toBeNull();
        expect(screen.getAllByText('3.10 to 7.80 in 1,000')).toHaveLength(3);
    });

    it('asks for a list where none is chosen', async () => {
        open(() => answer({ ...outcome, list: null, rows: [] }));
        expect(await screen.findByText(/^Choose the list for this trip/)).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Make a house list' })).toBeNull();
    });

    it('says where a list is not scaled', async () => {
        open(() => answer({ ...outcome, is_scaled: false }));
        expect(await screen.findByText(/Its quantities are not scaled/)).toBeTruthy();
    });

    it.each([
        [300, 'Your records cover 273 days and 300 people.'],
        [0, 'Your records cover 273 days. Enter for how many people. No assessment of this setting is signed.'],
    ])('says of how many people the records are: %d', async (covered, text) => {
        open(() => answer({ ...outcome, covered }));
        expect((await screen.findAllByText(text)).length).toBeGreaterThan(0);
    });

    it('calculates again with the common chance', async () => {
        const { person, asked } = open();
        expect(await screen.findByText('Ask 97 % of each item to reach 90 % for all of them.')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Calculate with that' }));
        await waitFor(() => expect(asked.at(-1)?.get('each')).toBe('0.9720'));
        expect(asked.at(-1)?.get('together')).toBe('0.9');
        expect(asked.at(-1)?.get('setting')).toBe('trip');
    });

    it('leaves what was emptied empty', async () => {
        const { person, asked } = open();
        const together = await screen.findByLabelText('Chance that nothing runs short');
        await person.clear(together);
        await person.click(screen.getByRole('button', { name: 'Calculate' }));
        await waitFor(() => expect(asked).toHaveLength(2));
        expect(asked[1]?.has('together')).toBe(false);
        expect(screen.getByLabelText('Chance that nothing runs short')).toHaveProperty('value', '');
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
        expect(await screen.findByText(/^No chance for each item reaches 90 % for all/)).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Calculate with that' })).toBeNull();
    });

    it('becomes a house list that keeps every line of the list', async () => {
        const keep = vi.spyOn(keptForm, 'keep');
        const { person, made } = open(undefined, ['plan']);
        await person.click(await screen.findByRole('button', { name: 'Make a house list' }));
        await person.type(screen.getByLabelText('Title'), 'Camp');
        await person.type(screen.getByLabelText('Code'), 'CAMP');
        await person.click(screen.getByRole('button', { name: 'Create list' }));
        await waitFor(() => expect(keep).toHaveBeenCalled());
        expect(made).toEqual([{ title: 'Camp', code: 'camp', from: 'list1' }]);
        const [name, typed] = keep.mock.calls[0] ?? [];
        expect(name).toBe('list.l1.1');
        expect(typed).toMatchObject({
            basis: 'Calculated for 12 people and 7 days. Setting: Trip or expedition.',
            people: '12',
            days: '7',
            lines: [
                { code: 'L1', quantity: '4', rank: 'required' },
                { code: 'L2', quantity: '2', rank: 'critical' },
                { code: 'L3', quantity: '1' },
                { code: 'L4', quantity: '24' },
                { code: 'L5', quantity: '7' },
            ],
        });
    });
});
