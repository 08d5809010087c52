import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { answer, refuse } from '../testing/server';
import { show } from '../testing/show';
import { TodayPage } from './TodayPage';

afterEach(() => vi.unstubAllGlobals());

const place = { id: 'p1', name: 'Saw shed', path: 'Tree yard, Saw shed' };

const work = (of: Partial<Schemas['WorkResource']> = {}): Schemas['WorkResource'] => ({
    kit: 'QH-07',
    kit_name: 'Tree crew bag',
    place,
    band: 'stop',
    verdict: 'not_ready',
    job: 'check',
    check_kind: 'full',
    reasons: ['Haemostatic gauze: 1 of 2'],
    more_reasons: 0,
    due_on: '2026-11-20',
    overdue_days: 7,
    shifts: [],
    holds_through: null,
    ...of,
});

const today = (of: Partial<Schemas['TodayResource']> = {}): Schemas['TodayResource'] => ({
    as_of: '2026-11-27',
    kits: 3,
    counts: [
        { verdict: 'not_ready', kits: 1 },
        { verdict: 'no_requirement', kits: 0 },
        { verdict: 'ready', kits: 2 },
    ],
    being_judged: 0,
    worker_silent_since: null,
    backup_trouble: null,
    backup_at: null,
    overdue: 1,
    work: [],
    work_in_all: 0,
    page: 1,
    pages: 1,
    from: '2026-11-01',
    until: '2027-11-30',
    horizon: [],
    horizon_more: 0,
    ...of,
});

/** Today as the server says it; each question for it with its query. */
function open(said: Partial<Schemas['TodayResource']>, may = ['check', 'restock'], at = '/') {
    const asked: URLSearchParams[] = [];
    vi.stubGlobal('fetch', (request: Request) => {
        const url = new URL(request.url);
        if (url.pathname === '/api/today') {
            asked.push(url.searchParams);
            return Promise.resolve(answer(today(said)));
        }
        // What else the page shows is not asked about here.
        return Promise.resolve(refuse(503, 'Not now'));
    });
    show(<TodayPage />, may, at);
    return asked;
}
const all = (counts: [Schemas['TodayResource']['counts'][number]['verdict'], number][]) =>
    counts.map(([verdict, kits]) => ({ verdict, kits }));

describe('today', () => {
    it('counts kits by verdict, each out of all, and leaves out what there is none of', async () => {
        open({});
        const counts = await screen.findByRole('list', { name: 'Kits by verdict' });
        expect(
            within(counts)
                .getAllByRole('listitem')
                .map((one) => one.textContent),
        ).toEqual(['1 of 3 not ready', '2 of 3 ready']);
    });

    it('says of each kit why, and offers what helps: no task that the person may not do', async () => {
        open(
            {
                work: [
                    work({ more_reasons: 2 }),
                    work({
                        kit: 'QH-03',
                        kit_name: 'Tropical house box',
                        band: 'now',
                        verdict: 'limited',
                        job: 'restock',
                    }),
                    work({
                        kit: 'QH-04',
                        kit_name: 'Arid house box',
                        band: 'soon',
                        verdict: 'ready',
                        check_kind: 'quick',
                    }),
                ],
                work_in_all: 3,
            },
            ['check'],
        );
        const [stop = document.body] = await screen.findAllByText(
            (_, element) => element?.tagName === 'SECTION' && element.textContent.startsWith('Do not use'),
        );
        expect(within(stop).getByText('Not ready')).toBeTruthy();
        expect(stop.textContent).toContain('Tree yard, Saw shed · Haemostatic gauze: 1 of 2 · and 2 more reasons');
        expect(screen.getByRole('link', { name: 'Check QH-07' }).getAttribute('href')).toBe('/kits/QH-07/check');
        expect(screen.getByRole('link', { name: 'Quick check QH-04' })).toBeTruthy();
        expect(screen.getByRole('heading', { name: 'Due now' })).toBeTruthy();
        expect(screen.queryByRole('link', { name: 'Restock QH-03' })).toBeNull();
        expect(screen.queryByRole('heading', { name: 'At next visit' })).toBeNull();
    });

    it('says where the background work has stopped, and asks again while kits are being judged', async () => {
        const asked = open({ being_judged: 2, worker_silent_since: '2026-11-27T09:30:00Z' });
        expect(await screen.findByText('Background work has stopped.')).toBeTruthy();
        expect(screen.getByText(/^Nothing has been judged in the background since 27 Nov 2026, 09:30\./)).toBeTruthy();
        expect(screen.getByText('2 of 3 being judged again')).toBeTruthy();
        await waitFor(() => expect(asked.length).toBeGreaterThan(1), { timeout: 5_000 });
    });

    it('keeps whose kits it shows while its pages are turned', async () => {
        const asked = open({ work: [work()], work_in_all: 60, page: 1, pages: 2 });
        await userEvent.click(await screen.findByRole('button', { name: 'Mine' }));
        await waitFor(() => expect(asked.at(-1)?.get('whose')).toBe('mine'));
        await userEvent.click(screen.getByRole('button', { name: 'Next' }));
        await waitFor(() => expect([asked.at(-1)?.get('whose'), asked.at(-1)?.get('page')]).toEqual(['mine', '2']));
    });
});

describe('no tasks', () => {
    it('every kit is ready only where all of them are', async () => {
        open({ counts: all([['ready', 3]]) });
        expect(await screen.findByText(/^Every kit is ready, and no check falls due/)).toBeTruthy();
    });

    it.each([
        {
            counts: all([
                ['no_requirement', 1],
                ['ready', 2],
            ]),
        },
        {
            counts: all([
                ['ready_with_actions', 2],
                ['ready', 1],
            ]),
        },
    ])('and otherwise how many are: %j', async (said) => {
        open(said);
        expect(await screen.findByText(/^Nothing is to be done.* [12] of 3 kits (is|are) ready;/)).toBeTruthy();
        expect(screen.queryByText(/Every kit is ready/)).toBeNull();
    });

    it.each(['/', '/?whose=mine', '/?whose=nobody'])('is not known while kits are being judged: %s', async (at) => {
        open({ being_judged: 1, counts: all([['ready', 2]]) }, ['check'], at);
        expect(await screen.findByText('No tasks so far')).toBeTruthy();
        expect(screen.getByText(/^1 of 3 kits is being judged again\./)).toBeTruthy();
        expect(screen.queryByText(/Every kit/)).toBeNull();
    });

    it('on a page after the last leads back to the first', async () => {
        const asked = open({ work_in_all: 4, page: 9 }, ['check'], '/?page=9');
        expect(await screen.findByText('The worklist has 4 tasks, on the pages before this one.')).toBeTruthy();
        expect(screen.queryByText(/Every kit/)).toBeNull();
        await userEvent.click(screen.getByRole('button', { name: 'First page' }));
        await waitFor(() => expect(asked.at(-1)?.get('page')).toBe('1'));
    });

    it('says what comes first where there is no kit, to whoever may do it', async () => {
        open({ kits: 0, counts: all([]) }, ['equip']);
        expect(await screen.findByText('Add the places of your organisation, then equip the first kit.')).toBeTruthy();
    });

    it('says that a lead equips, to anybody else', async () => {
        open({ kits: 0, counts: all([]) }, ['check']);
        expect(await screen.findByText('A lead adds places and equips kits; they appear here then.')).toBeTruthy();
    });
});
