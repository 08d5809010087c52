import { fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useLocation } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { answer, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';
import { Finder } from './Finder';

const found = ['QH-01', 'QH-02', 'QH-03'].map((code) => ({
    kind: 'kit',
    title: `${code} box`,
    detail: 'Gallery',
    href: `/kits/${code}`,
}));
let sent: Sent[];
const shown = vi.fn();

beforeEach(() => {
    sent = serve(() => answer({ query: 'box', found }));
    Element.prototype.scrollIntoView = shown;
});

afterEach(() => vi.unstubAllGlobals());

describe('the finder', () => {
    it('asks once, when somebody has stopped typing', async () => {
        show(<Finder />);
        await userEvent.keyboard('/');
        expect(document.activeElement).toBe(screen.getByRole('combobox'));
        // One key after the other, with no time between them.
        for (const value of ['b', 'bo', 'box']) {
            fireEvent.change(screen.getByRole('combobox'), { target: { value } });
        }
        expect(await screen.findByRole('option', { name: /QH-01 box/ })).toBeTruthy();
        expect(sent).toHaveLength(1);
    });

    it('keeps the option that is chosen by key in view', async () => {
        show(<Finder />);
        await userEvent.type(screen.getByRole('combobox'), 'box');
        await screen.findByRole('option', { name: /QH-01 box/ });
        shown.mockClear();
        await userEvent.keyboard('{ArrowDown}{ArrowDown}');
        expect(screen.getByRole('option', { name: /QH-03 box/ }).getAttribute('aria-selected')).toBe('true');
        expect(shown).toHaveBeenCalledTimes(2);
        expect(screen.getByRole('combobox').getAttribute('aria-activedescendant')).toBe('found-2');
    });

    it('opens what is typed, never what was found by less of it', async () => {
        let come: (() => void) | undefined;
        vi.stubGlobal('fetch', ({ url }: Request) => {
            const query = new URL(url).searchParams.get('q') ?? '';
            const said = answer({ query, found: found.filter(({ title }) => title.startsWith(query)) });
            return new Promise((resolve) => (query === 'QH-03' ? (come = () => resolve(said)) : resolve(said)));
        });
        let at = '';
        const Where = () => {
            at = useLocation().pathname;
            return <Finder />;
        };
        show(<Where />);
        await userEvent.type(screen.getByRole('combobox'), 'QH-0');
        await screen.findByRole('option', { name: /QH-01 box/ });
        await userEvent.type(screen.getByRole('combobox'), '3{Enter}');
        await waitFor(() => expect(come).toBeDefined());
        expect(at).toBe('/');
        come?.();
        await waitFor(() => expect(at).toBe('/kits/QH-03'));
        expect(screen.getByRole<HTMLInputElement>('combobox').value).toBe('');
    });
});
