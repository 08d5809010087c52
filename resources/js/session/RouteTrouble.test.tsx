import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, Link, Outlet, RouterProvider } from 'react-router';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { RouteTrouble } from './RouteTrouble';

beforeEach(() => vi.spyOn(console, 'error').mockImplementation(() => undefined));
afterEach(() => vi.restoreAllMocks());

function showFailing(error: Error) {
    const fail = () => {
        throw error;
    };
    const Failing = () => fail();
    const frame = (
        <>
            <Link to="/other">Elsewhere</Link>
            <Outlet />
        </>
    );
    const router = createMemoryRouter([
        {
            element: frame,
            children: [
                {
                    errorElement: <RouteTrouble />,
                    children: [
                        { path: '/', element: <Failing /> },
                        { path: '/other', element: <p>It is well</p> },
                    ],
                },
            ],
        },
    ]);
    render(<RouterProvider router={router} />);
}

it('says that a newer page is there where a part of this one is gone, and offers to load it', () => {
    showFailing(new TypeError('Failed to fetch dynamically imported module: /build/assets/KitPage.js'));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('A newer version of this page is there');
    expect(screen.getByText(/What you typed is saved on this device/)).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Load the page again' })).toBeTruthy();
});

it('leaves the rest of the page as it is where one screen fails', async () => {
    showFailing(new Error('kit.leaves is undefined'));
    expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('This screen cannot be shown');
    expect(screen.getByText('kit.leaves is undefined')).toBeTruthy();
    await userEvent.click(screen.getByRole('link', { name: 'Elsewhere' }));
    expect(screen.getByText('It is well')).toBeTruthy();
});
