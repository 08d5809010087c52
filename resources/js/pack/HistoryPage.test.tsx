import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { answer } from '../testing/server';
import { show } from '../testing/show';
import HistoryPage from './HistoryPage';

afterEach(() => vi.unstubAllGlobals());

const entry = (of: Partial<Schemas['HistoryEntry']>): Schemas['HistoryEntry'] => ({
    at: '2026-11-13T09:45:00Z',
    number: 7,
    kind: 'full_check',
    title: 'Full check',
    by: 'Tobias Renn',
    notes: [],
    movements: [],
    check: null,
    ...of,
});
const signed = { id: 'c1', verdict: 'limited' } as NonNullable<Schemas['HistoryEntry']['check']>;
const move = { item: 'foil', quantity: 1, name: 'Foil blanket', lot: 'W3690', text: 'found opened, recorded as good' };

/** The history in pages, each reached by where it begins. */
function open(
    pages: Record<string, Schemas['HistoryEntry'][]>,
    next: Record<string, number> = {},
    at = '',
    may = ['check'],
) {
    const asked: URLSearchParams[] = [];
    vi.stubGlobal('fetch', (request: Request) => {
        const query = new URL(request.url).searchParams;
        asked.push(query);
        const from = query.get('before') ?? '';
        const entries = pages[from] ?? [];
        return Promise.resolve(
            answer({ kit: 'QH-03', kit_name: 'Tropical house box', entries, before: next[from] ?? null }),
        );
    });
    show(
        <Routes>
            <Route path="/kits/:code/history" element={<HistoryPage />} />
        </Routes>,
        may,
        `/kits/QH-03/history${at}`,
    );
    return asked;
}

describe('the history of a kit', () => {
    it('says who did what and when, with the verdict that was signed', async () => {
        open({
            '': [
                entry({ check: signed, movements: [move] }),
                entry({ kind: 'restock', title: 'Restocked', notes: ['After use'] }),
            ],
        });
        expect(await screen.findByRole('heading', { name: 'History of QH-03 Tropical house box' })).toBeTruthy();
        expect(screen.getByRole('link', { name: 'Full check' }).getAttribute('href')).toBe('/checks/c1');
        expect(screen.getByText('Limited')).toBeTruthy();
        expect(screen.getByText('1 × Foil blanket, lot W3690: found opened, recorded as good')).toBeTruthy();
        expect(screen.getByText('After use')).toBeTruthy();
        expect(screen.queryByText('All as recorded.')).toBeNull();
    });

    it('says that a check found all as recorded only of a check', async () => {
        open({ '': [entry({ check: signed }), entry({ kind: 'move', title: 'Moved' })] });
        expect(await screen.findAllByText('All as recorded.')).toHaveLength(1);
    });

    it('folds many movements, and says how many', async () => {
        open({ '': [entry({ movements: Array.from({ length: 9 }, () => move) })] });
        expect(await screen.findByText('9 movements')).toBeTruthy();
    });

    it('goes back page by page, and ends', async () => {
        const asked = open({ '': [entry({ title: 'New' })], '40': [entry({ title: 'Old' })] }, { '': 40 });
        await userEvent.click(await screen.findByRole('button', { name: 'Show earlier entries' }));
        expect(await screen.findByText('Old')).toBeTruthy();
        expect(screen.getByText('New')).toBeTruthy();
        expect(asked.at(-1)?.get('before')).toBe('40');
        expect(screen.queryByRole('button', { name: 'Show earlier entries' })).toBeNull();
    });

    it('shows one kind alone, and tells none of that kind from none at all', async () => {
        const asked = open({});
        expect(await screen.findByText(/^Nothing is recorded for this kit yet\./)).toBeTruthy();
        await userEvent.selectOptions(
            screen.getByLabelText('Show'),
            screen.getAllByRole('option').at(1) as HTMLElement,
        );
        await waitFor(() => expect(asked.at(-1)?.get('only')).toBe('checks'));
        expect(screen.queryByText(/^Nothing is recorded for this kit yet\./)).toBeNull();
    });

    it('asks for no kind that there is not', async () => {
        const asked = open({ '': [entry({})] }, {}, '?only=secrets');
        await screen.findByText('Full check');
        expect(asked[0]?.has('only')).toBe(false);
    });

    it.each([
        [['check'], 0],
        [['export'], 1],
    ])('may be exported by %j: %d', async (may, links) => {
        open({ '': [entry({})] }, {}, '', may);
        await screen.findByText('Full check');
        expect(screen.queryAllByRole('link', { name: 'Export as CSV' })).toHaveLength(links);
    });
});
