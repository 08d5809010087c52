import { keepPreviousData, QueryClient, QueryClientProvider, useQuery } from '@tanstack/react-query';
import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { lazy, type ReactNode } from 'react';
import { createBrowserRouter, Link, MemoryRouter, RouterProvider, useLocation } from 'react-router';
import { describe, expect, it, vi } from 'vitest';
import { ExportSheet, Pager, ShowOnly, SortHead } from './Listing';
import { useListing } from './useListing';

function List({ page = { page: 1, pages: 3, in_all: 120 } }) {
    const listing = useListing(['q', 'verdict']);
    const { search } = useLocation();
    return (
        <>
            <output>{search}</output>
            <ShowOnly listing={listing} />
            <table>
                <thead>
                    <tr>
                        <SortHead listing={listing} by="name" first>
                            Name
                        </SortHead>
                        <SortHead listing={listing} by="due">
                            Due
                        </SortHead>
                    </tr>
                </thead>
            </table>
            <Pager page={page} listing={listing} things="120 kits" />
            <ExportSheet listing={listing} path="/kits" />
        </>
    );
}

const at = (address: string, page?: { page: number; pages: number; in_all: number }) =>
    render(
        <MemoryRouter initialEntries={[address]}>
            <List page={page} />
        </MemoryRouter>,
        { wrapper },
    );
const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
);
const address = () => screen.getByRole('status').textContent;

describe('a list', () => {
    it('keeps what is looked for in its address, after a pause, and begins at its first page', async () => {
        at('/kits?page=3&verdict=ready');
        await userEvent.type(screen.getByRole('textbox', { name: 'Show only' }), 'burn');
        await screen.findByText('?verdict=ready&q=burn');
    });

    it('is busy from the first key until it shows what was typed', async () => {
        const answers = new Map<string, (names: string[]) => void>();
        function Names() {
            const listing = useListing(['q']);
            const q = listing.get('q');
            const { data } = useQuery({
                queryKey: ['names', q],
                queryFn: () => new Promise<string[]>((resolve) => answers.set(q, resolve)),
                placeholderData: keepPreviousData,
            });
            return (
                <>
                    <ShowOnly listing={listing} />
                    {data?.join(', ')}
                </>
            );
        }
        render(
            <MemoryRouter>
                <Names />
            </MemoryRouter>,
            { wrapper },
        );
        const isBusy = () => screen.getByRole('textbox', { name: 'Show only' }).getAttribute('aria-busy');
        answers.get('')?.(['Gallery box', 'Walk pouch']);
        await screen.findByText('Gallery box, Walk pouch');
        await waitFor(() => expect(isBusy()).toBe('false'));
        await userEvent.type(screen.getByRole('textbox', { name: 'Show only' }), 'pouch');
        expect(isBusy()).toBe('true');
        await waitFor(() => expect(answers.has('pouch')).toBe(true));
        expect(isBusy()).toBe('true');
        act(() => answers.get('pouch')?.(['Walk pouch']));
        await screen.findByText('Walk pouch');
        await waitFor(() => expect(isBusy()).toBe('false'));
    });

    it('leaves the address of the page alone that was asked for meanwhile', async () => {
        vi.useFakeTimers({ shouldAdvanceTime: true });
        let come: (part: { default: () => React.ReactNode }) => void = () => {};
        const Next = lazy(() => new Promise<{ default: () => React.ReactNode }>((resolve) => (come = resolve)));
        window.history.replaceState(null, '', '/kits');
        const list = (
            <>
                <List />
                <Link to="/kits/QH-02/use?end=shift">Hand back QH-02</Link>
            </>
        );
        const router = createBrowserRouter([
            { path: '/kits', element: list },
            { path: '/kits/QH-02/use', element: <Next /> },
        ]);
        render(<RouterProvider router={router} />, { wrapper });
        const user = userEvent.setup({ advanceTimers: vi.advanceTimersByTime });
        await user.type(screen.getByRole('textbox', { name: 'Show only' }), 'QH-02');
        await user.click(screen.getByRole('link', { name: 'Hand back QH-02' }));
        await act(() => vi.advanceTimersByTimeAsync(1_000));
        await act(async () => {
            come({ default: () => 'Handing back' });
            await vi.advanceTimersByTimeAsync(0);
        });
        expect(await screen.findByText('Handing back')).toBeTruthy();
        expect(window.location.pathname + window.location.search).toBe('/kits/QH-02/use?end=shift');
        vi.useRealTimers();
        window.history.replaceState(null, '', '/');
    });

    it('is sorted by the heading that is pressed, and the other way round when it is pressed again', async () => {
        at('/kits');
        const head = (name: string) => screen.getByRole('columnheader', { name: new RegExp(`^${name}`) });
        expect(head('Name').getAttribute('aria-sort')).toBe('ascending');
        await userEvent.click(screen.getByRole('button', { name: 'Due' }));
        expect(address()).toBe('?sort=due');
        expect(head('Due').getAttribute('aria-sort')).toBe('ascending');
        await userEvent.click(screen.getByRole('button', { name: /^Due/ }));
        expect(address()).toBe('?sort=due&order=down');
        expect(head('Due').getAttribute('aria-sort')).toBe('descending');
        expect(head('Name').getAttribute('aria-sort')).toBe('none');
    });

    it('says which rows it shows, of how many, and turns its pages', async () => {
        at('/kits?page=3', { page: 3, pages: 3, in_all: 120 });
        expect(screen.getByText('101 to 120 of 120 kits')).toBeTruthy();
        expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Next' }).disabled).toBe(true);
        await userEvent.click(screen.getByRole('button', { name: 'Previous' }));
        expect(address()).toBe('?page=2');
    });

    it('is exported as it is filtered and sorted, all of it', () => {
        at('/kits?page=2&verdict=ready&sort=due&order=down');
        expect(screen.getByRole('link', { name: 'Export as CSV' }).getAttribute('href')).toBe(
            '/api/kits?verdict=ready&sort=due&order=down&format=csv',
        );
    });

    it('of one page shows no pages', () => {
        at('/kits', { page: 1, pages: 1, in_all: 3 });
        expect(screen.queryByRole('navigation')).toBeNull();
    });
});
