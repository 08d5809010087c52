import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { answer, refuse, serve, type Sent } from '../testing/server';
import { cells, show } from '../testing/show';
import { Levels } from './Levels';

afterEach(() => vi.unstubAllGlobals());

const gauze: Schemas['StoreLevel'] = { item: 'gauze', name: 'Gauze', there: 4, least: 6, target: 20, pack: 10 };
const foil: Schemas['StoreLevel'] = { item: 'foil', name: 'Foil blanket', there: 9, least: 5, target: 12, pack: null };
const proposed: Schemas['ProposedLevel'] = {
    item: 'tape',
    name: 'Tape',
    least: 8,
    target: 24,
    pack: 12,
    restocks: 4,
    least_now: null,
    target_now: null,
};

/** The levels of a store, and what is proposed until it is set. */
function open(
    may: string[],
    { levels = [gauze, foil], reply }: { levels?: Schemas['StoreLevel'][]; reply?: () => Response } = {},
) {
    const isSet = (sent: Sent[]) => sent.some((one) => one.method === 'PUT');
    const sent: Sent[] = serve((one) => {
        if (one.method === 'PUT') {
            return reply?.() ?? answer([...levels, { ...gauze, item: 'tape', name: 'Tape', there: 30 }]);
        }
        if (one.path.endsWith('/proposed-levels')) {
            return answer(isSet(sent) ? [] : [proposed]);
        }
        return answer(one.path === '/api/stores/s1/levels' ? levels : []);
    });
    show(<Levels store="s1" />, may);
    return { person: userEvent.setup(), put: () => sent.filter((one) => one.method === 'PUT') };
}

describe('the levels of a store', () => {
    it('say what is here, at least and filled up, in pieces and in whole packs, and what is below', async () => {
        open(['restock']);
        expect(await screen.findByRole('heading', { name: 'Levels: 1 of 2 below the least' })).toBeTruthy();
        const [first, second] = screen.getAllByRole('row').slice(1).map(cells);
        expect(first).toEqual(['Gauze ▲ below the least', '4', '61 pack of 10', '202 packs of 10']);
        expect(second).toEqual(['Foil blanket', '9', '5', '12']);
        expect(screen.queryByRole('button')).toBeNull();
    });

    it('say what a level is where there is none', async () => {
        open(['restock'], { levels: [] });
        expect(await screen.findByText(/^No levels yet\./)).toBeTruthy();
    });

    it('are proposed by what was used, said to be rough where that was little, and set one by one', async () => {
        const { person, put } = open(['plan']);
        await person.click(await screen.findByRole('button', { name: 'Propose levels' }));
        expect(
            await screen.findByText('At least 8, fill up to 24, from 4 restocks (rough), 2 packs of 12'),
        ).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Set the level of Tape' }));
        expect(await screen.findByText(/asks for no other levels/)).toBeTruthy();
        expect(put()).toMatchObject([{ path: '/api/stores/s1/levels/tape', body: { least: 8, target: 24 } }]);
        expect(screen.getByRole('heading', { name: 'Levels: 1 of 3 below the least' })).toBeTruthy();
    });

    it('are changed by a lead, with the reason where that is refused', async () => {
        const { person, put } = open(['plan'], {
            reply: () => refuse(422, 'Not accepted', { target: ['Fill up to at least the least.'] }),
        });
        await person.click((await screen.findAllByRole('button', { name: /Gauze/ }))[0] as HTMLElement);
        const dialog = await screen.findByRole('dialog');
        const target = within(dialog).getByLabelText('Fill up to, pieces');
        await person.clear(target);
        await person.type(target, '3');
        await person.click(within(dialog).getByRole('button', { name: 'Save' }));
        expect(await within(dialog).findByText('Fill up to at least the least.')).toBeTruthy();
        expect(put()[0]?.body).toEqual({ least: 6, target: 3 });
        expect(target).toHaveProperty('value', '3');
    });

    it('are taken away', async () => {
        const { person, put } = open(['plan']);
        await person.click((await screen.findAllByRole('button', { name: /Gauze/ }))[0] as HTMLElement);
        const dialog = await screen.findByRole('dialog');
        await person.selectOptions(within(dialog).getByLabelText('The level'), 'Remove it');
        expect(within(dialog).queryByLabelText('Fill up to, pieces')).toBeNull();
        await person.click(within(dialog).getByRole('button', { name: /Remove/ }));
        await waitFor(() => expect(put()[0]?.body).toEqual({ least: null, target: null }));
    });
});
