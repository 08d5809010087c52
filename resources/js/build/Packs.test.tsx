import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { sendWaiting } from '../offline/outbox';
import { buildPiece, kit, pocket } from '../testing/samples';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import { beginBuild, beginnings, begunSender, builds, buildSender } from './draft';
import { Packs } from './Packs';

afterEach(() => vi.unstubAllGlobals());

const plan = {
    order: ['back', 'front'],
    pieces: [
        buildPiece('Tape', 3, [['front', 3]]),
        buildPiece('Old gauze', 2, [], { rest_to: 'discard', because: 'expired' }),
    ],
    restock: {
        store: 's1',
        store_name: 'Cupboard',
        stores: [],
        base: { epoch: 1, number: 40 },
        in: [],
        missing: [],
        shelf: [],
    },
    items: [
        { item: 'Tape', mass_g: 100, task: 'Fold the end over' },
        { item: 'Old gauze', mass_g: 10, task: null },
    ],
    empty_mass_g: 500,
    max_mass_g: null,
    ask_over: 5,
} as unknown as Schemas['BuildPlan'];

function begin(to: Partial<Schemas['KitResource']> = {}) {
    const bag = kit({
        seal: { state: 'none', number: null } as Schemas['KitResource']['seal'],
        sealed_design: false,
        leaves: [{ name: 'Main', pockets: [pocket('front', 'Front', 1), pocket('back', 'Back', 2)] }],
        ...to,
    });
    // At the desk, where all steps are in sight.
    vi.stubGlobal('matchMedia', () => ({ matches: true, addEventListener: vi.fn(), removeEventListener: vi.fn() }));
    vi.stubGlobal('scrollTo', vi.fn());
    const draft = beginBuild(bag, plan);
    builds.keep(draft);
    show(<Packs kit={bag} kept={draft} />);
    return { person: userEvent.setup(), bag };
}

const step = (name: RegExp) => screen.getAllByRole('button', { name }).find((one) => one.closest('ol')) as HTMLElement;

describe('a kit that is repacked', () => {
    it('counts what comes out, and says what is missing and what is more', async () => {
        const { person } = begin();
        const field = screen.getByRole('textbox', { name: 'Found of Tape, lot A1' });
        await person.clear(field);
        await person.type(field, '1');
        expect(screen.getByText(/2 not found/)).toBeTruthy();
        await person.clear(field);
        await person.type(field, '5');
        expect(screen.getByText(/2 more than on record/)).toBeTruthy();
        await person.clear(field);
        expect(screen.getByText('Enter how many, a whole number')).toBeTruthy();
    });

    it('puts back no more than came out', async () => {
        const { person } = begin();
        const field = screen.getByRole('textbox', { name: 'Found of Tape, lot A1' });
        await person.clear(field);
        await person.type(field, '2');
        await person.click(step(/Front/));
        await person.click(screen.getByRole('checkbox', { name: 'Put back Tape, lot A1' }));
        expect(screen.getByText('Only 2 of Tape came out.')).toBeTruthy();
        await person.click(step(/Weigh, seal and record/));
        expect(screen.getByRole('button', { name: 'Record and update status' })).toHaveProperty('disabled', true);
    });

    it('asks why where scales and catalogue are apart, and records what was done', async () => {
        const { person } = begin();
        await person.click(step(/Front/));
        await person.click(screen.getByRole('checkbox', { name: 'Fold the end over: Tape' }));
        await person.click(screen.getByRole('button', { name: 'Whole pocket as listed' }));
        // What has expired is left over, and is to be disposed of.
        expect(screen.getByText('2 × Old gauze')).toBeTruthy();
        expect(screen.getByLabelText('Where Old gauze goes')).toHaveProperty('value', 'discard');
        await person.click(screen.getByRole('button', { name: 'Next' }));
        expect(screen.getByText(/Calculated: 800 g/)).toBeTruthy();
        const record = screen.getByRole('button', { name: 'Record and update status' });
        await person.type(screen.getByLabelText('Weighed, g'), '700');
        expect(screen.getByText(/100 g apart, more than 5 %/)).toBeTruthy();
        expect(record).toHaveProperty('disabled', true);
        await person.type(screen.getByLabelText('Why the two are apart'), 'An old bag');
        await person.click(record);
        const sent = serve(() => answer({}));
        expect(await sendWaiting([buildSender])).toBe(1);
        expect(sent[0]?.body).toMatchObject({
            weighed_g: 700,
            weighed_because: 'An old bag',
            prepared: [{ pocket_id: 'front', item: 'Tape', done: true }],
            pieces: [
                { recorded: 3, found: 3, to_store: 0, discarded: 0 },
                { recorded: 2, found: 2, to_store: 0, discarded: 2 },
            ],
        });
        expect(builds.of('QH-03')).toBeNull();
    });

    it('keeps what was done where the server refuses it, and says why', async () => {
        const { person } = begin();
        await person.click(step(/Weigh, seal and record/));
        await person.click(screen.getByRole('button', { name: 'Record and update status' }));
        serve(() => refuse(422, 'Something is on record and not accounted for.'));
        await sendWaiting([buildSender]);
        expect(await screen.findByText('Something is on record and not accounted for.')).toBeTruthy();
        expect(builds.of('QH-03')?.isWaiting).toBe(false);
    });

    it('is not recorded while nobody said why its seal was broken', async () => {
        const { person } = begin({ seal: { state: 'intact', number: null } as Schemas['KitResource']['seal'] });
        await person.click(step(/Weigh, seal and record/));
        const record = screen.getByRole('button', { name: 'Record and update status' });
        expect(record).toHaveProperty('disabled', true);
        await person.type(screen.getByLabelText('Why the seal was broken'), 'Repacked');
        expect(record).toHaveProperty('disabled', false);
    });

    it('says to the server that it has begun, before it is recorded', async () => {
        const { bag } = begin();
        const draft = builds.of(bag.code);
        if (draft === null) {
            throw new Error('It was begun.');
        }
        beginnings.keep(draft);
        const sent = serve(() => new Response(null, { status: 204 }));
        expect(await sendWaiting([begunSender, buildSender])).toBe(1);
        expect(sent.map((one) => one.path)).toEqual([`/api/kits/QH-03/builds/${draft.id}/beginning`]);
        expect(beginnings.isWaiting('QH-03')).toBe(false);
        expect(screen.getByRole('heading', { name: 'Everything out' })).toBeTruthy();
    });
});
