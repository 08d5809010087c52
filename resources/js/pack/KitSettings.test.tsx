import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keepToday } from '../api/today';
import { content, kit } from '../testing/samples';
import { answer, serve } from '../testing/server';
import { show } from '../testing/show';
import { KitSettings } from './KitSettings';

beforeEach(() => keepToday('2026-12-02'));
afterEach(() => vi.unstubAllGlobals());

const full = kit({
    contents: [
        content({ lot_id: 'a', lot: 'A1', good_until: '2099-01-31' }),
        content({ lot_id: 'b', lot: 'B2', good_until: '2001-01-31' }),
        content({ lot_id: 'c', lot: 'C3', good_until: null, condition: 'soiled' }),
    ],
});

async function open() {
    const sent = serve(({ method }) => answer(method === 'PUT' ? full : []));
    show(<KitSettings kit={full} />);
    await userEvent.click(screen.getByRole('button', { name: 'Take out of service' }));
    await userEvent.type(screen.getByRole('textbox', { name: 'Reason' }), 'Worn out');
    const save = async () => {
        const buttons = screen.getAllByRole('button', { name: 'Take out of service' });
        await userEvent.click(buttons[buttons.length - 1] as HTMLElement);
        await vi.waitFor(() => expect(sent.some(({ method }) => method === 'PUT')).toBe(true));
        return sent.find(({ method }) => method === 'PUT')?.body as { pieces: { lot_id: string; to: string }[] };
    };
    return { save };
}

describe('taking a kit out of service', () => {
    it('proposes the store for good pieces in date, and disposal for others', async () => {
        const { save } = await open();
        const chosen = ['A1', 'B2', 'C3'].map(
            (lot) => screen.getByRole<HTMLSelectElement>('combobox', { name: new RegExp(lot) }).value,
        );
        expect(chosen).toEqual(['store', 'disposed', 'disposed']);
        expect((await save()).pieces).toEqual([]);
    });

    it('sets all pieces at once, and single ones after that', async () => {
        const { save } = await open();
        await userEvent.selectOptions(screen.getByRole('combobox', { name: 'All pieces' }), 'Lost');
        await userEvent.selectOptions(screen.getByRole('combobox', { name: /A1/ }), 'To the store');
        expect((await save()).pieces.map(({ lot_id, to }) => [lot_id, to])).toEqual([
            ['a', 'store'],
            ['b', 'lost'],
            ['c', 'lost'],
        ]);
    });
});
