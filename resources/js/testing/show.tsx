import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, within } from '@testing-library/react';
import type { ReactElement } from 'react';
import { MemoryRouter } from 'react-router';
import { sessionQuestion } from '../session/session';
import { user } from './samples';

/** Shows a part of the page as a signed-in person sees it, who may do what is named. */
export function show(part: ReactElement, may: string[] = ['check', 'restock'], at = '/'): QueryClient {
    const client = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
    client.setQueryData(sessionQuestion().queryKey, {
        user: { ...user, may },
        time_zone: 'UTC',
        today: '2026-11-27',
        csrf: 'token',
    } as never);
    render(
        <QueryClientProvider client={client}>
            <MemoryRouter initialEntries={[at]}>{part}</MemoryRouter>
        </QueryClientProvider>,
    );
    return client;
}

/** What the cells of a row say. */
export const cells = (row: HTMLElement): string[] =>
    within(row)
        .getAllByRole('cell')
        .map((cell) => cell.textContent);
