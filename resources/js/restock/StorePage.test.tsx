import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { keepToday } from '../api/today';
import { onePage, serveEach } from '../testing/server';
import { cells, show } from '../testing/show';
import StorePage from './StorePage';

beforeEach(() => keepToday('2026-11-27'));
afterEach(() => vi.unstubAllGlobals());

describe('a store', () => {
    const row: Schemas['StoreRow'] = {
        item: 'gauze',
        name: 'Gauze',
        lot: 'H1',
        expires: '2026-10',
        good_until: '2026-10-31',
        condition: 'good',
        opened_on: null,
        quantity: 4,
    };
    const open = (rows: Schemas['StoreRow'][], may: string[], retired_on: string | null = null, pieces = 4) => {
        const store = { id: 's1', name: 'Cupboard', place: 'Potting shed', retired_on, items: 1, pieces };
        const asked = serveEach({
            '/api/stores/s1': { store, base: { epoch: 1, number: 4 }, rows, page: onePage(rows.length) },
            '/api/stores/s1/levels': [{ item: 'gauze', name: 'Gauze', there: 4, least: 6, target: 20, pack: 10 }],
            '/api/stores/s1/history': { entries: [] },
            '/api/loans': [],
        });
        show(
            <Routes>
                <Route path="/stores/:id" element={<StorePage />} />
            </Routes>,
            may,
            '/stores/s1',
        );
        return asked;
    };

    it('marks what is expired and what is not good, and says which levels are not kept', async () => {
        open([row, { ...row, lot: null, good_until: null, expires: null, condition: 'quarantined' }], ['restock']);
        const table = (await screen.findAllByRole('table'))[0] as HTMLElement;
        const [first = table, second = table] = within(table).getAllByRole('row').slice(1);
        expect(cells(first)).toEqual(['Gauze', 'H1', '▲ expired 31 Oct 2026', '4']);
        expect(cells(second)[0]).toBe('Gauze ▲ Set apart');
        expect(await screen.findByText('▲ Levels: 1 of 1 below the least')).toBeTruthy();
        expect(screen.getByText('▲ below the least')).toBeTruthy();
        expect(screen.getAllByText(/^in packs of 10|packs? of 10/).length).toBeGreaterThan(0);
    });

    it('offers work to whoever may do it, and none where the store is retired', async () => {
        open([row], ['restock']);
        expect((await screen.findByRole('link', { name: 'Receive goods' })).getAttribute('href')).toBe(
            '/stores/s1/receive',
        );
        await userEvent.click(screen.getByRole('button', { name: 'More' }));
        expect(screen.getAllByRole('menuitem').map((one) => one.getAttribute('href'))).toEqual(
            ['set_apart', 'release', 'lend', 'borrow', 'repack'].map((task) => `/stores/s1/${task}`),
        );
    });

    it.each([
        [['restock'], '2026-11-01'],
        [['check'], null],
    ])('offers none to %j where it was retired on %s', async (may, retired) => {
        open([row], may, retired);
        await screen.findByRole('heading', { name: 'Cupboard' });
        expect(screen.queryByRole('link', { name: 'Receive goods' })).toBeNull();
        expect(screen.queryByRole('button', { name: 'More' })).toBeNull();
    });

    it('is called empty only where it is', async () => {
        open([], ['restock'], null, 4);
        expect(await screen.findByText(/^No lot matches\./)).toBeTruthy();
        expect(screen.queryByText(/^Nothing is in this store/)).toBeNull();
    });

    it('asks for what is expired by yesterday', async () => {
        const asked = open([row], ['restock']);
        await userEvent.selectOptions(await screen.findByLabelText('Expiry'), 'Expired');
        await waitFor(() => expect(asked.some((url) => url.searchParams.get('until') === '2026-11-26')).toBe(true));
    });
});
