import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { versionOf } from '../offline/versions';
import { buildPiece, kit } from '../testing/samples';
import { answer, refuse, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';
import { beginBuild, beginnings, builds } from './draft';
import { StartBuild } from './StartBuild';

afterEach(() => vi.unstubAllGlobals());

const plan = {
    order: ['front'],
    pieces: [buildPiece('Tape', 5, [['front', 3]])],
    restock: {
        store: 's1',
        store_name: 'Cupboard',
        stores: [
            { id: 's1', name: 'Cupboard' },
            { id: 's2', name: 'Shed' },
        ],
        base: { epoch: 1, number: 40 },
        in: [],
        missing: [],
        shelf: [],
    },
    items: [],
    empty_mass_g: 0,
    max_mass_g: null,
    ask_over: 5,
} as unknown as Schemas['BuildPlan'];

const build: Schemas['OpenBuild'] = {
    id: 'b1',
    by: 'Tobias Renn',
    begun_at: '2026-11-27T09:00:00Z',
    left_by: null,
    left_at: null,
    left_note: null,
    pockets_packed: 0,
    pockets: 0,
    taken_by_id: null,
    taken_by: null,
    taken_at: null,
};
const left = {
    left_by: 'Tobias Renn',
    left_at: '2026-11-27T09:30:00Z',
    left_note: 'No scale',
    pockets_packed: 2,
    pockets: 5,
};

function start(to: Partial<Schemas['OpenBuild']> | null, reply: (sent: Sent) => Response = () => answer({})) {
    const sent = serve(reply);
    const onStore = vi.fn();
    show(<StartBuild kit={kit({ build: to === null ? null : { ...build, ...to } })} plan={plan} onStore={onStore} />);
    return { sent, onStore, person: userEvent.setup() };
}

const work = () => JSON.stringify({ ...beginBuild(kit(), plan), id: 'b1' });

describe('before a kit is repacked', () => {
    it('says what comes out, and keeps that it has begun for the server', async () => {
        const { person, onStore } = start(null);
        expect(
            screen.getByText('5 pieces come out; 2 of them do not go back, and 0 are to come from the store.'),
        ).toBeTruthy();
        await person.selectOptions(screen.getByLabelText('From the store'), 's2');
        expect(onStore).toHaveBeenCalledWith('s2');
        expect(beginnings.isWaiting('QH-03')).toBe(false);
        await person.click(screen.getByRole('button', { name: 'Begin' }));
        expect([beginnings.isWaiting('QH-03'), builds.of('QH-03')?.pieces.length]).toEqual([true, 1]);
    });

    it('says who is at it, and offers nothing of theirs that was not handed over', () => {
        start({});
        expect(screen.getByText(/Tobias Renn has been repacking this kit/)).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Go on with it' })).toBeNull();
        expect(screen.getByRole('button', { name: 'Start again on this device' })).toBeTruthy();
    });

    it('goes on with what was handed over', async () => {
        const { person, sent } = start(left, () => answer({ id: 'b1', version: versionOf('build'), work: work() }));
        expect(screen.getByText('2 of 5 pockets packed.')).toBeTruthy();
        expect(screen.getByText('“No scale”')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Go on with it' }));
        await vi.waitFor(() => expect(builds.of('QH-03')?.id).toBe('b1'));
        expect(sent[0]).toMatchObject({ path: '/api/kits/QH-03/builds/b1/taking', body: { seen: null } });
    });

    it('takes it over from who has it, and is told where somebody was faster', async () => {
        const { person, sent } = start(
            { ...left, taken_by_id: '9', taken_by: 'Isolde Varga', taken_at: '2026-11-27T10:00:00Z' },
            () => refuse(422, 'Maren Oduya has taken it up meanwhile. Open the kit again.'),
        );
        await person.click(screen.getByRole('button', { name: 'Take it over from Isolde Varga' }));
        expect(await screen.findByText('Maren Oduya has taken it up meanwhile. Open the kit again.')).toBeTruthy();
        expect(sent[0]?.body).toEqual({ seen: '9' });
        expect(builds.of('QH-03')).toBeNull();
    });

    it.each([
        ['a newer page kept it', versionOf('build') + 1, work, /by a newer page than this one/],
        ['it is another one', 1, () => work().replace('"b1"', '"b2"'), /cannot be read/],
        ['it is no work at all', 1, () => '{"id":"b1"}', /cannot be read/],
    ])('does not take up what it cannot read: %s', async (_, version, of, said) => {
        const { person } = start(left, () => answer({ id: 'b1', version, work: of() }));
        await person.click(screen.getByRole('button', { name: 'Go on with it' }));
        expect(await screen.findByText(said)).toBeTruthy();
        expect(builds.of('QH-03')).toBeNull();
    });

    it('is ended only when it was said how the kit is, and not as put back under a whole seal', async () => {
        const { person, sent } = start({}, () => new Response(null, { status: 204 }));
        await person.click(screen.getByRole('button', { name: 'End without a record' }));
        const dialog = within(screen.getByRole('dialog'));
        const end = dialog.getByRole('button', { name: 'End it' });
        expect(end).toHaveProperty('disabled', true);
        await person.click(dialog.getByLabelText('Everything lies again where it is on record'));
        expect(dialog.getByRole('alert').textContent).toContain('Its seal is whole on record');
        expect(end).toHaveProperty('disabled', true);
        await person.click(dialog.getByLabelText('Nothing was taken out'));
        await person.click(end);
        await vi.waitFor(() =>
            expect(sent.find((one) => one.method === 'PUT')?.body).toEqual({ outcome: 'nothing_moved' }),
        );
    });
});
