import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { kit } from '../testing/samples';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import { NotStaged } from './NotStaged';
import { Shortfalls } from './Shortfalls';

afterEach(() => vi.unstubAllGlobals());

const asked: Schemas['ShortfallsResource'] = {
    asked: [{ id: 7, item: 'plaster', name: 'Plaster', pieces: 3, day: '2026-11-26' }],
    shares: [{ place: 'Café', shift: 'Early', unsaid: 2, pieces: 9 }],
};

describe('what a check did not find', () => {
    it('is asked about once, and the share that nobody said stays by place and shift', async () => {
        const sent = serve((one) => answer(one.method === 'PUT' ? { ...asked, asked: [] } : asked));
        show(<Shortfalls kit="QH-03" />);
        const person = userEvent.setup();
        const question = await screen.findByRole('group', { name: 'Plaster' });
        expect(within(question).getByText(/^Plaster: 3 pieces fewer than recorded/)).toBeTruthy();
        expect(
            within(question)
                .getAllByRole('button')
                .map((one) => one.textContent),
        ).toEqual(['Used and not said', 'Moved', 'Lost', 'Miscounted', 'Do not know']);
        await person.click(within(question).getByRole('button', { name: 'Used and not said' }));
        await waitFor(() => expect(screen.queryByRole('group', { name: 'Plaster' })).toBeNull());
        expect(sent.at(-1)).toMatchObject({ path: '/api/kits/QH-03/shortfalls/7', body: { why: 'used' } });
        expect(screen.getByText(/nobody said where 2 of 9 missing pieces went: Café, Early shift/)).toBeTruthy();
        expect(screen.getByText('Kept by place and shift, never by person.')).toBeTruthy();
    });

    it('is not asked of who may not check', async () => {
        serve(() => answer(asked));
        show(<Shortfalls kit="QH-03" />, []);
        expect(await screen.findByText(/2 of 9 missing pieces/)).toBeTruthy();
        expect(screen.queryByRole('group')).toBeNull();
    });
});

describe('what is not staged', () => {
    const unstaged = kit({
        verdict: {
            lines: [],
            reasons: [
                { kind: 'unprepared', severity: 'fix', item: 'gloves', text: 'Gloves in Lid is not staged: Unfold' },
                { kind: 'missing', severity: 'stop', item: 'pad', text: 'Pad is missing' },
            ],
        } as unknown as Schemas['VerdictResource'],
    });

    it('is said to be staged now, under one id until it has gone through', async () => {
        let tries = 0;
        const sent = serve(() => (++tries === 1 ? refuse(500, 'The server stumbled.') : answer(kit())));
        show(<NotStaged kit={unstaged} />);
        const person = userEvent.setup();
        const stage = () => screen.getByRole('button', { name: 'Prepared now: Gloves in Lid is not staged: Unfold' });
        expect(screen.queryByText('Pad is missing')).toBeNull();
        await person.click(stage());
        expect((await screen.findByRole('alert')).textContent).toContain('The server stumbled.');
        await person.click(stage());
        const puts = () => sent.filter((one) => one.method === 'PUT');
        await waitFor(() => expect(puts()).toHaveLength(2));
        expect(puts()[0]).toMatchObject({ body: { item: 'gloves' } });
        expect(puts()[0]?.path).toBe(puts()[1]?.path);
    });

    it('is no button for who may not restock', () => {
        show(<NotStaged kit={unstaged} />, ['check']);
        expect(screen.queryByRole('button')).toBeNull();
    });
});
