import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { keepToday } from '../api/today';
import { onePage, serveEach } from '../testing/server';
import { cells, show } from '../testing/show';
import DatesAheadPage from './DatesAheadPage';
import PickListPage from './PickListPage';
import RestockListPage from './RestockListPage';

beforeEach(() => keepToday('2026-11-27'));
afterEach(() => vi.unstubAllGlobals());

describe('dates ahead', () => {
    const ahead: Schemas['DatesAhead'] = {
        months: [
            { month: '2026-11', in_kits: 0, in_stores: 3, cost: 0, without_price: 0 },
            { month: '2026-12', in_kits: 5, in_stores: 0, cost: 1217, without_price: 1 },
        ],
        month: '2026-12',
        rows: [
            {
                good_until: '2026-12-18',
                kit: 'QH-05',
                store: null,
                where: 'Kitchen burns box',
                place: 'Café, Kitchen',
                item: 'burn-20',
                name: 'Burn dressing',
                lot: 'B2093',
                pieces: 2,
                cost: 1101,
            },
            {
                good_until: '2026-12-31',
                kit: null,
                store: 's1',
                where: 'Cupboard',
                place: 'Potting shed',
                item: 'gel',
                name: 'Burn gel',
                lot: null,
                pieces: 3,
                cost: null,
            },
        ],
        page: onePage(2),
        currency: 'GBP',
    };

    it('says of each month what expires in kits and in stores, and what it costs to replace', async () => {
        serveEach({ '/api/dates-ahead': ahead });
        show(<DatesAheadPage />);
        const december = (await screen.findByRole('button', { name: 'Dec 2026' })).closest('tr') as HTMLElement;
        expect(cells(december)).toEqual(['5', '0', '£12.171 item without a price']);
        expect(screen.getByRole('button', { name: 'Dec 2026' }).getAttribute('aria-current')).toBe('true');
        const november = screen.getByRole('button', { name: 'Nov 2026' }).closest('tr') as HTMLElement;
        expect(cells(november)).toEqual(['0', '3', '']);
    });

    it('names what expires, where it is and what it costs, or that its price is not known', async () => {
        serveEach({ '/api/dates-ahead': ahead });
        show(<DatesAheadPage />);
        const first = (await screen.findByRole('link', { name: 'Burn dressing' })).closest('tr') as HTMLElement;
        expect(cells(first)).toEqual([
            '18 Dec 2026',
            'Burn dressinglot B2093',
            '2',
            'QH-05 Kitchen burns boxCafé, Kitchen',
            '£11.01',
        ]);
        const second = screen.getByRole('link', { name: 'Burn gel' }).closest('tr') as HTMLElement;
        expect(cells(second).at(-1)).toBe('no price');
        expect(within(second).getByRole('link', { name: 'Cupboard' }).getAttribute('href')).toBe('/stores/s1');
        expect(screen.queryByRole('link', { name: 'Export as CSV' })).toBeNull();
    });

    it('shows another month where it is pressed', async () => {
        const asked = serveEach({ '/api/dates-ahead': ahead });
        show(<DatesAheadPage />, ['export']);
        await userEvent.click(await screen.findByRole('button', { name: 'Nov 2026' }));
        await waitFor(() => expect(asked.at(-1)?.searchParams.get('month')).toBe('2026-11'));
        expect(screen.getByRole('link', { name: 'Export as CSV' })).toBeTruthy();
    });
});

describe('the pick list', () => {
    const line = { pocket: 'Deep wounds', name: 'Gauze', caution: 'Not into the chest.', quantity: 1 };
    const list: Schemas['PickList'] = {
        store: 's1',
        store_name: 'Cupboard',
        place: 'Potting shed',
        take: [{ name: 'Gauze', caution: 'Not into the chest.', lot: 'B8713', good_until: '2028-04-30', quantity: 1 }],
        kits: [
            {
                code: 'QH-07',
                name: 'Tree crew bag',
                place: 'Saw shed',
                until: '2026-12-20',
                rows: [
                    { ...line, way: 'in', lot: 'B8713', good_until: '2028-04-30', to: null },
                    { ...line, way: 'out', lot: null, good_until: '2026-11-20', to: 'discard' },
                ],
                missing: [{ what: 'Eyewash', quantity: 3 }] as never,
            },
        ],
    };
    const wanting = (codes: string[]) => ({
        kits: codes.map((code) => ({ code, name: `Box ${code}` })),
        page: onePage(codes.length),
    });
    const open = (codes: string[]) => {
        const asked = serveEach({
            '/api/kits': wanting(codes),
            '/api/stores': [{ id: 's1', name: 'Cupboard' }],
            '/api/pick-list': list,
        });
        show(<PickListPage />);
        return asked;
    };

    it('says what is taken from the store, what goes where, and what the store does not have', async () => {
        open(['QH-03', 'QH-07']);
        expect(await screen.findByRole('heading', { name: 'Take from Cupboard, Potting shed' })).toBeTruthy();
        const kit = screen
            .getByRole('heading', { name: 'QH-07 Tree crew bag, Saw shed' })
            .closest('section') as HTMLElement;
        const rows = within(kit).getAllByRole('row').slice(1);
        expect(rows.map((row) => cells(row).slice(0, 4))).toEqual([
            ['In', 'Gauze, lot B8713, expires 30 Apr 2028Caution: Not into the chest.', 'Deep wounds', '1'],
            [
                'Out',
                expect.stringMatching(/^Gauze, no lot, expired 20 Nov 2026; to be disposed of/),
                'Deep wounds',
                '1',
            ],
        ]);
        expect(kit.textContent).toContain('What goes in must be in date until 20 Dec 2026.');
        expect(kit.textContent).toContain('Not in this store: 3 × Eyewash.');
        expect(screen.getByText(/not a record/)).toBeTruthy();
    });

    it('is of the kits that are ticked, and of none is no list and no round', async () => {
        const asked = open(['QH-03', 'QH-07']);
        await screen.findByRole('heading', { name: /^Take from/ });
        await userEvent.click(screen.getByRole('checkbox', { name: 'QH-03 Box QH-03' }));
        await waitFor(() => expect(asked.at(-1)?.searchParams.get('kits')).toBe('QH-07'));
        expect(screen.getByRole('heading', { name: 'For 1 of 2 kits to restock' })).toBeTruthy();
        await userEvent.click(screen.getByRole('checkbox', { name: 'QH-07 Box QH-07' }));
        expect(screen.getByText('Tick the kits that you want to restock.')).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Walk this round' })).toBeNull();
    });

    it('holds twenty kits at the most', async () => {
        const codes = Array.from({ length: 23 }, (_, at) => `K-${at + 10}`);
        const asked = open(codes);
        await screen.findByRole('heading', { name: /^Take from/ });
        expect(
            asked
                .find((url) => url.pathname === '/api/pick-list')
                ?.searchParams.get('kits')
                ?.split(','),
        ).toEqual(codes.slice(0, 20));
        expect(screen.getByText('The first 20 in walking order. Print the rest when these are done.')).toBeTruthy();
    });
});

describe('what wants restocking', () => {
    it('is told from what only the search does not find', async () => {
        serveEach({ '/api/kits': { kits: [], page: onePage(0) }, '/api/stores': [] });
        show(<RestockListPage />);
        expect(await screen.findByText(/^No kit needs restocking\./)).toBeTruthy();
        expect(screen.queryByRole('link', { name: 'Pick list' })).toBeNull();
        await userEvent.type(screen.getByRole('textbox', { name: 'Show only' }), 'xyz');
        expect(await screen.findByText('No kit matches.')).toBeTruthy();
    });
});
