import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import { Notes } from './Notes';

afterEach(() => vi.unstubAllGlobals());

const note = {
    check: 'c1',
    kit: 'QH-03',
    kit_name: 'Glasshouse',
    day: '2026-11-20',
    by: 'Mina Oduya',
    text: 'The zip sticks.',
};

describe('notes of earlier checks', () => {
    it('stay until somebody says what was done, and keep what was typed where that is refused', async () => {
        const asked: unknown[] = [];
        let isTaken = false;
        serve((request) => {
            asked.push(request.body);
            return isTaken ? answer({ notes: [], in_all: 0 }) : refuse(409, 'Somebody answered this note.');
        });
        show(<Notes notes={[note]} of="QH-03" />);
        expect(screen.getByText('The zip sticks.')).toBeTruthy();
        expect(screen.queryByRole('link', { name: /Glasshouse/ })).toBeNull();
        await userEvent.click(screen.getByRole('button', { name: 'Answer: The zip sticks.' }));
        await userEvent.type(screen.getByRole('textbox', { name: 'What was done about it' }), 'Waxed');
        await userEvent.click(screen.getByRole('button', { name: 'Record answer' }));
        expect(await screen.findByText(/Somebody answered this note/)).toBeTruthy();
        expect(screen.getByRole<HTMLInputElement>('textbox').value).toBe('Waxed');
        isTaken = true;
        await userEvent.click(screen.getByRole('button', { name: 'Record answer' }));
        await vi.waitFor(() => expect(asked).toEqual([{ answer: 'Waxed' }, { answer: 'Waxed' }]));
    });

    it('name the kit elsewhere and say how many more there are; who may not check cannot answer', () => {
        show(<Notes notes={[note]} inAll={4} />, []);
        expect(screen.getByRole('link', { name: 'QH-03 Glasshouse' })).toBeTruthy();
        expect(screen.getByText(/and 3 more notes/)).toBeTruthy();
        expect(screen.queryByRole('button')).toBeNull();
    });
});
