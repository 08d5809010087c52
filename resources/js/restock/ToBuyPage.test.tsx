import { screen, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { serveEach } from '../testing/server';
import { cells, show } from '../testing/show';
import ToBuyPage from './ToBuyPage';

afterEach(() => vi.unstubAllGlobals());

const row = (to: Partial<Schemas['ToBuyRow']>): Schemas['ToBuyRow'] => ({
    item: 'gauze-haemostatic',
    what: 'Haemostatic gauze',
    missing: 3,
    in_stores: 1,
    for_stores: 0,
    pieces: 2,
    is_critical: false,
    cost: 3_450,
    kits: ['QH-07', 'QH-09'],
    kits_in_all: 2,
    ...to,
});

async function open(rows: Schemas['ToBuyRow'][], to: object = {}, may: string[] = ['restock', 'export']) {
    const list = { rows, cost: 3_450, without_price: 0, currency: 'GBP', being_judged: 0, ...to };
    serveEach({ '/api/to-buy': list });
    show(<ToBuyPage />, may);
    await screen.findByRole('heading', { name: 'What to buy' });
}

describe('what to buy', () => {
    it('says of each item how many, what is missing and there, what it costs, and for which kits', async () => {
        await open([
            row({ is_critical: true }),
            row({ item: 'tape', what: 'Zinc oxide tape', pieces: 5, for_stores: 4, cost: null }),
        ]);
        const [first, second] = screen.getAllByRole('row').slice(1);
        expect(first && cells(first)).toEqual(['Haemostatic gauze critical', '2', '3', '1', '£34.50', 'QH-07, QH-09']);
        expect(second && cells(second).slice(0, 2)).toEqual(['Zinc oxide tape', '5']);
        expect(second && within(second).getByText('to fill stores up to 4')).toBeTruthy();
        expect(second && within(second).getByText('no price')).toBeTruthy();
        expect(first && within(first).getByRole('link', { name: 'QH-09' }).getAttribute('href')).toBe('/kits/QH-09');
    });

    it('says what it comes to at least, and what that leaves out', async () => {
        await open([row({})], { without_price: 2 });
        expect(screen.getByText('At least £34.50 in whole packs; 2 items without a price on record')).toBeTruthy();
    });

    it('says of many kits how many more there are', async () => {
        await open([row({ kits_in_all: 12 })]);
        expect(screen.getByText(/and 10 more/)).toBeTruthy();
    });

    it('says that it may change while kits are judged again', async () => {
        await open([row({})], { being_judged: 3 });
        expect(screen.getByText('3 kits being judged again: what they are missing may change.')).toBeTruthy();
    });

    it('names a class of which there is no item without leading anywhere', async () => {
        await open([row({ item: null, what: 'any splint' })]);
        expect(screen.getByText('any splint').closest('a')).toBeNull();
    });

    it('says so where nothing is to buy, and is exported only by whoever may', async () => {
        await open([], { cost: null }, ['restock']);
        expect(screen.getByText(/^Nothing to buy:/)).toBeTruthy();
        expect(screen.queryByRole('link', { name: 'Export as CSV' })).toBeNull();
    });
});
