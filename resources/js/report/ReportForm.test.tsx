import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { Problem } from '../api/client';
import { show } from '../testing/show';
import { ReportForm } from './ReportForm';

const items = [
    { item: 'gloves', name: 'Nitrile gloves' },
    { item: 'pad', name: 'Trauma pad' },
];

type Sent = (id: string, used: { item: string; pieces: number }[]) => Promise<unknown>;

function open(send: Sent = () => Promise.resolve()) {
    const onSent = vi.fn();
    show(<ReportForm items={items} send={send} onSent={onSent} />);
    return { person: userEvent.setup(), onSent };
}

describe('a report of use', () => {
    it('is pressed once for every piece, taken back, and sent as it was pressed', async () => {
        const send = vi.fn(() => Promise.resolve());
        const { person, onSent } = open(send);
        expect(screen.getByRole('button', { name: 'Report' })).toHaveProperty('disabled', true);
        const gloves = screen.getByRole('button', { name: /^Nitrile gloves/ });
        await person.click(gloves);
        await person.click(gloves);
        await person.click(screen.getByRole('button', { name: /^Trauma pad/ }));
        await person.click(screen.getByRole('button', { name: 'One fewer of Trauma pad' }));
        expect(screen.getByText('2 used')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Report 2 pieces used' }));
        await waitFor(() => expect(onSent).toHaveBeenCalled());
        expect(send).toHaveBeenCalledWith(expect.stringMatching(/^[0-9A-Za-z]{26}$/), [{ item: 'gloves', pieces: 2 }]);
    });

    it('keeps what was pressed where it does not go through, and sends it under the same id', async () => {
        const ids: string[] = [];
        const { person, onSent } = open((id) => {
            ids.push(id);
            return ids.length === 1
                ? Promise.reject(new Problem(0, 'No connection', 'The server did not answer.', {}, []))
                : Promise.resolve();
        });
        await person.click(screen.getByRole('button', { name: /^Trauma pad/ }));
        await person.click(screen.getByRole('button', { name: 'Report 1 piece used' }));
        expect((await screen.findByRole('alert')).textContent).toContain('The server did not answer.');
        expect(screen.getByText('1 used')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Report 1 piece used' }));
        await waitFor(() => expect(onSent).toHaveBeenCalled());
        expect(new Set(ids).size).toBe(1);
    });
});
