import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { answer, refuse, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';
import RotationPage from './RotationPage';

afterEach(() => vi.unstubAllGlobals());

const move = (of: Partial<Schemas['MoveResource']> = {}): Schemas['MoveResource'] => ({
    id: null,
    item: 'wipe',
    name: 'Sterile wipe',
    lot: 'W1',
    good_until: '2027-01-31',
    quantity: 3,
    from: 'QH-13',
    from_place: 'Store room',
    to: 'QH-01',
    to_place: 'Visitor centre',
    is_done: false,
    dropped_because: null,
    ...of,
});

const proposed: Schemas['RotationResource'] = {
    id: null,
    made_by: null,
    made_on: null,
    saved: 3,
    value: 45,
    currency: 'GBP',
    moves: [move()],
    wasted: 2,
};
const agreed = {
    ...proposed,
    id: 'r1',
    made_by: 'Mina Oduya',
    made_on: '2026-11-27',
    moves: [move({ id: 'm1' }), move({ id: 'm2', lot: 'W2', dropped_because: 'Used meanwhile' })],
};

async function open(plan: Schemas['RotationResource'], more: (sent: Sent) => Response | undefined, may = ['restock']) {
    let now = plan;
    const sent = serve((one) => {
        const given = more(one);
        if (one.method === 'PUT' && given?.ok === true) {
            now = agreed;
        }
        return given ?? answer(now);
    });
    show(<RotationPage />, may);
    await screen.findByRole('heading', { name: 'Move to where it is used' });
    return { person: userEvent.setup(), sent };
}

const puts = (sent: Sent[]) => sent.filter((one) => one.method === 'PUT');

describe('what should move to where it is used', () => {
    it('says what is saved, what moves, and what is wasted all the same; agreed to once', async () => {
        const { person, sent } = await open(proposed, (one) => (one.method === 'PUT' ? answer(agreed) : undefined));
        expect(screen.getByText(/^3 pieces would be used that expire unused where they are, worth £0.45/)).toBeTruthy();
        expect(screen.getByText(/^2 pieces of these items expire unused all the same/)).toBeTruthy();
        expect(screen.getByText(/Sterile wipe, lot W1/)).toBeTruthy();
        expect(screen.queryByRole('button', { name: /^3 × Sterile wipe from/ })).toBeNull();
        await person.click(screen.getByRole('button', { name: 'Carry out this plan' }));
        expect(await screen.findByText(/^Agreed by Mina Oduya/)).toBeTruthy();
        expect(puts(sent).map((one) => one.path)).toEqual([
            expect.stringMatching(/^\/api\/rotations\/[0-9A-Za-z]{26}$/),
        ]);
    });

    it('is carried out move by move, and a refusal is said where it was asked', async () => {
        const { person, sent } = await open(agreed, (one) =>
            one.method === 'PUT'
                ? refuse(422, 'Not accepted', { move: ['3 of these are no longer in QH-13.'] })
                : undefined,
        );
        expect(screen.getByText(/1 of 2 moves are left to do/)).toBeTruthy();
        expect(screen.getByText(/Used meanwhile/)).toBeTruthy();
        await person.click(screen.getByRole('button', { name: '3 × Sterile wipe from QH-13 to QH-01' }));
        expect(screen.getByText(/as many from the store stand in/)).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Record move' }));
        await person.click(await screen.findByRole('button', { name: 'Record move' }));
        await waitFor(() => expect(puts(sent)).toHaveLength(2));
        expect(screen.getByText('3 of these are no longer in QH-13.')).toBeTruthy();
        expect(new Set(puts(sent).map((one) => one.path)).size).toBe(1);
    });

    it('is left out with a reason only', async () => {
        const { person, sent } = await open(agreed, (one) => (one.method === 'PUT' ? answer(agreed) : undefined));
        await person.click(screen.getByRole('button', { name: 'Leave out: Sterile wipe from QH-13' }));
        expect(screen.getByRole('button', { name: 'Leave out' })).toHaveProperty('disabled', true);
        await person.type(screen.getByLabelText('Why'), 'They were used');
        await person.click(screen.getByRole('button', { name: 'Leave out' }));
        await waitFor(() => expect(puts(sent)).toHaveLength(1));
        expect(puts(sent)[0]).toMatchObject({
            path: '/api/rotation-moves/m1/dropping',
            body: { reason: 'They were used' },
        });
    });

    it('is read by who may not restock, and not carried out', async () => {
        await open(agreed, () => undefined, []);
        expect(screen.queryByRole('button', { name: /Sterile wipe/ })).toBeNull();
        expect(screen.queryByRole('button', { name: 'End this plan' })).toBeNull();
    });

    it('says so where nothing would be saved', async () => {
        await open({ ...proposed, saved: 0, moves: [], value: 0 }, () => undefined);
        expect(screen.getByText('Nothing would be saved by moving pieces today.')).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Carry out this plan' })).toBeNull();
    });
});
