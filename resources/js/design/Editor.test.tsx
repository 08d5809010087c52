import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { answer, refuse, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';
import { Editor } from './Editor';
import type { Compartment, Draft, Packing } from './packing';
import { usePacking } from './usePacking';

afterEach(() => vi.unstubAllGlobals());

function pocket(id: string, name: string, to: Partial<Compartment> = {}): Compartment {
    return {
        id,
        parent_id: 'main',
        kind: 'pocket',
        name,
        row: 1,
        column: 1,
        row_span: 1,
        column_span: 1,
        closure: null,
        outside: false,
        sealed: false,
        caution: null,
        properties: [],
        slot_design: null,
        max_mass_g: null,
        volume_ml: null,
        looked_for: [],
        ...to,
    };
}

const draft: Draft = {
    list_id: 'list',
    policy: {
        empty_mass_g: 500,
        max_mass_g: null,
        max_volume_ml: null,
        max_cost: null,
        expiry: 'strict',
        margin_days: 14,
        grace_days: 0,
        every_unit: 'weeks',
        every_count: 12,
        before_events: false,
        after_use: true,
        sealed: false,
        latex_free: false,
        wrappers: null,
    },
    modules: [],
    seasons: [],
    compartments: [
        pocket('main', 'Main', { parent_id: null, kind: 'leaf' }),
        pocket('front', 'Front'),
        pocket('back', 'Back', { column: 2 }),
    ],
    placements: [{ line: 'L1', compartment: 'front', quantity: null, from_day: null, waits_for: null }],
    additions: [],
    configurations: [{ name: 'Lantern evening', lines: [], slots: [] }],
    set_aside: [],
};

const packing: Packing = {
    design: 'd1',
    id: 'd1',
    edition: 'first',
    base: 'e1',
    number: 1,
    name: 'Walk pouch',
    serves: null,
    draft,
};

const line = (code: string, name: string, pieces: number) => ({
    code,
    need: `Need of ${code}`,
    rank: 'required',
    added: false,
    required: String(pieces),
    pieces,
    item: code,
    item_name: name,
    class: 'tape',
    caution: null,
    mass_g: 10 * pieces,
    start_minutes: null,
});

function foresee(sent: Draft, to: Partial<Schemas['ForesightResource']> = {}) {
    const placed = sent.placements.map((one) => one.line);
    return {
        list: {},
        currency: 'GBP',
        faults: ['L1', 'L2'].filter((code) => !placed.includes(code)).map((code) => `${code} has no pocket.`),
        lines: [line('L1', 'Zinc oxide tape', 6), line('L2', 'Shears', 1)],
        loads: [
            {
                compartment: null,
                mass_g: 570,
                max_mass_g: 560,
                bulk_ml: 90,
                volume_ml: 50,
                without_bulk: 1,
                cost: 450,
                max_cost: 400,
                without_price: 0,
                reach: 0,
            },
            {
                compartment: 'front',
                mass_g: 60,
                max_mass_g: null,
                bulk_ml: 90,
                volume_ml: null,
                without_bulk: 0,
                cost: 450,
                max_cost: null,
                without_price: 0,
                reach: 2,
            },
        ],
        advice: [
            {
                about: 'start_early L1',
                kind: 'start_early',
                text: 'Start it early.',
                line: 'L1',
                compartment: null,
                set_aside: null,
            },
        ],
        leave_out: [{ line: 'L2', text: '1 × Shears', mass_g: 10, bulk_ml: null, cost: 240 }],
        ...to,
    };
}

const sentDraft = (sent: Sent) => (sent.body as { draft: Draft }).draft;

/** A server that looks a draft through, and answers what else is asked as it is told. */
function packAt(more: (sent: Sent) => Response | undefined = () => undefined): Sent[] {
    return serve((sent) => {
        const own = more(sent);
        if (own) {
            return own;
        }
        if (sent.path === '/api/designs/foresight') {
            return answer(foresee(sentDraft(sent)));
        }
        if (sent.path.endsWith('/effects')) {
            return answer({ kits: [], in_all: 0, currency: 'GBP' });
        }
        return answer(sent.path === '/api/organisation' ? { currency: 'GBP' } : []);
    });
}

function Packs({ onPublished }: { onPublished: (design: string) => void }) {
    return (
        <Editor hands={usePacking('packing.test', packing)} onPublished={onPublished} onDiscarded={() => undefined} />
    );
}

async function begin(more?: (sent: Sent) => Response | undefined) {
    const sent = packAt(more);
    const onPublished = vi.fn();
    show(<Packs onPublished={onPublished} />, ['plan']);
    await screen.findAllByText('Zinc oxide tape');
    return { sent, onPublished, person: userEvent.setup() };
}

const chip = (name: RegExp) => screen.getByRole('button', { name, pressed: undefined });
const inPocket = (name: string) =>
    [...document.querySelectorAll(`[data-pocket="${name}"] [data-line]`)].map((one) => one.getAttribute('data-line'));

describe('the design editor', () => {
    it('moves a line to the pocket that is chosen, back by Ctrl Z and forth again', async () => {
        const { person } = await begin();
        await person.click(chip(/Zinc oxide tape/));
        await person.selectOptions(screen.getByLabelText('Lives in'), 'Main, Back');
        expect([inPocket('Front'), inPocket('Back')]).toEqual([[], ['L1']]);
        (document.activeElement as HTMLElement).blur();
        fireEvent.keyDown(window, { key: 'z', ctrlKey: true });
        expect(inPocket('Front')).toEqual(['L1']);
        fireEvent.keyDown(window, { key: 'z', ctrlKey: true, shiftKey: true });
        expect(inPocket('Back')).toEqual(['L1']);
        expect(screen.getByRole('button', { name: 'Redo' })).toHaveProperty('disabled', true);
    });

    it('takes a line that is dropped into a pocket, and nothing else', async () => {
        await begin();
        const back = document.querySelector('[data-pocket="Back"]') as HTMLElement;
        const data = (text: string) => ({ types: ['application/x-sarcina-line'], getData: () => text });
        fireEvent.drop(back, { dataTransfer: data('') });
        expect(inPocket('Back')).toEqual([]);
        fireEvent.drop(back, { dataTransfer: data('L2\n') });
        expect(inPocket('Back')).toEqual(['L2']);
        fireEvent.drop(back, { dataTransfer: data('L1\nfront') });
        expect([inPocket('Front'), inPocket('Back')]).toEqual([[], ['L2', 'L1']]);
        fireEvent.drop(screen.getByRole('group', { name: 'Not in a pocket yet' }), { dataTransfer: data('L1\nback') });
        expect(inPocket('Back')).toEqual(['L2']);
    });

    it('splits a line over two pockets, and joins it where one of them gets none', async () => {
        const { person } = await begin();
        await person.click(chip(/Zinc oxide tape/));
        await person.selectOptions(screen.getByLabelText('Split: also in'), 'Main, Back');
        await person.clear(screen.getByLabelText('Pieces there'));
        await person.type(screen.getByLabelText('Pieces there'), '2');
        await person.click(screen.getByRole('button', { name: 'Split line' }));
        expect([inPocket('Front'), inPocket('Back')]).toEqual([['L1'], ['L1']]);
        expect(screen.getByText('4 of 6')).toBeTruthy();
        expect(screen.getByText('2 of 6')).toBeTruthy();
        const there = screen.getByLabelText('Pieces in Main, Back');
        await person.clear(there);
        await person.type(there, '0');
        expect(inPocket('Back')).toEqual([]);
        expect(screen.getByText('6 ×')).toBeTruthy();
    });

    it('moves what has the focus by Alt and an arrow', async () => {
        await begin();
        const order = () =>
            [...document.querySelectorAll('[data-pocket]')].map((one) => one.getAttribute('data-pocket'));
        const back = document.querySelector('[data-pocket="Back"] button') as HTMLElement;
        fireEvent.keyDown(back, { key: 'ArrowUp' });
        expect(order()).toEqual(['Front', 'Back']);
        fireEvent.keyDown(back, { key: 'ArrowUp', altKey: true });
        expect(order()).toEqual(['Back', 'Front']);
    });

    it('says in words what is too heavy, too full and too dear, and what may be left out', async () => {
        await begin();
        expect(screen.getByText('570 of 560 g, too heavy')).toBeTruthy();
        expect(screen.getByText('90 of 50 ml, too full')).toBeTruthy();
        expect(screen.getByText('£4.50 of £4.00, over the limit')).toBeTruthy();
        expect(screen.getByText('behind 2 closures')).toBeTruthy();
        expect(screen.getByText(/1 × Shears:/).textContent).toBe('1 × Shears: frees 10 g, £2.40');
    });

    it('sets advice aside with a reason, which goes with the draft', async () => {
        const { sent, person } = await begin();
        await person.click(screen.getByRole('button', { name: 'Set aside: Start it early.' }));
        const dialog = within(screen.getByRole('dialog'));
        expect(dialog.getByRole('button', { name: 'Set aside' })).toHaveProperty('disabled', true);
        await person.type(dialog.getByLabelText('Why'), 'The crew knows it.');
        await person.click(dialog.getByRole('button', { name: 'Set aside' }));
        await waitFor(() =>
            expect(sentDraft(sent.at(-1) as Sent).set_aside).toEqual([
                { about: 'start_early L1', reason: 'The crew knows it.' },
            ]),
        );
    });

    it('switches a line on in a configuration alone', async () => {
        const { person } = await begin();
        await person.click(chip(/Zinc oxide tape/));
        await person.click(screen.getByLabelText('Lantern evening'));
        expect(chip(/Zinc oxide tape/).textContent).toContain('only in Lantern evening');
        expect(screen.getByText(/Switches on Need of L1/)).toBeTruthy();
    });

    it('plans a line for when something begins, and is not published before that is said', async () => {
        const { person } = await begin((sent) =>
            sent.path === '/api/designs/foresight' ? answer(foresee(sentDraft(sent), { faults: [] })) : undefined,
        );
        await person.click(chip(/Zinc oxide tape/));
        await person.selectOptions(screen.getByLabelText('Asked for'), 'When something begins');
        expect(screen.getByText('Say what it waits for, or ask for it now.')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        expect(await screen.findByText('Say what it waits for, or ask for it now.')).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Publish edition 2' })).toHaveProperty('disabled', true);
    });

    it('keeps a figure that is none where it was typed, and says so', async () => {
        const { person } = await begin();
        const field = screen.getByLabelText('Weighs at most, g');
        await person.type(field, 'x9');
        expect((field as HTMLInputElement).value).toBe('x9');
        expect(screen.getByText('A whole figure from 1 to 1,000,000')).toBeTruthy();
        await person.clear(field);
        await person.type(field, '900');
        expect(screen.queryByText('A whole figure from 1 to 1,000,000')).toBeNull();
        const cost = screen.getByLabelText('Costs at most, GBP');
        await person.type(cost, '12.5');
        expect((cost as HTMLInputElement).value).toBe('12.5');
    });
});

describe('publishing a design', () => {
    it('says nothing of what it is before it was looked through', async () => {
        let read: (() => void) | undefined;
        const told = new Promise<void>((done) => (read = done));
        let asked = 0;
        serve(async (sent) => {
            if (sent.path === '/api/designs/foresight' && ++asked > 1) {
                await told;
            }
            return sent.path === '/api/designs/foresight'
                ? answer(foresee(sentDraft(sent)))
                : answer(sent.path.endsWith('/effects') ? { kits: [], in_all: 0, currency: 'GBP' } : []);
        });
        show(<Packs onPublished={() => undefined} />, ['plan']);
        await screen.findAllByText('Zinc oxide tape');
        const person = userEvent.setup();
        await person.click(chip(/Shears/));
        await person.selectOptions(screen.getByLabelText('Lives in'), 'Main, Back');
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        expect(screen.getByText('Looking it through…')).toBeTruthy();
        expect(screen.queryByText('Nothing stands in the way.')).toBeNull();
        expect(screen.getByRole('button', { name: 'Publish edition 2' })).toHaveProperty('disabled', true);
        read?.();
        expect(await screen.findByText('Nothing stands in the way.')).toBeTruthy();
    });

    it('names what stands in the way', async () => {
        const { person } = await begin();
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        expect(await screen.findByText('L2 has no pocket.')).toBeTruthy();
    });

    it('sends one edition again as the same, and what was changed since as another', async () => {
        const tries: Sent[] = [];
        const { person, onPublished } = await begin((sent) => {
            if (sent.method === 'PUT') {
                tries.push(sent);
                return tries.length < 3
                    ? refuse(503, 'The database does not answer.')
                    : answer({ id: 'e2', number: 2 });
            }
            return sent.path === '/api/designs/foresight'
                ? answer(foresee(sentDraft(sent), { faults: [] }))
                : undefined;
        });
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        await screen.findByText('Nothing stands in the way.');
        await person.click(screen.getByRole('button', { name: 'Publish edition 2' }));
        expect(await screen.findByText('The database does not answer.')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Publish edition 2' }));
        await waitFor(() => expect(tries).toHaveLength(2));
        expect(tries[1]?.path).toBe(tries[0]?.path);
        await person.click(await screen.findByRole('button', { name: 'Back to packing' }));
        await person.click(chip(/Shears/));
        await person.selectOptions(screen.getByLabelText('Lives in'), 'Main, Back');
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        await screen.findByText('Nothing stands in the way.');
        await person.click(screen.getByRole('button', { name: 'Publish edition 2' }));
        await waitFor(() => expect(onPublished).toHaveBeenCalledWith('d1'));
        expect(tries[2]?.path).not.toBe(tries[0]?.path);
    });

    it('joins what somebody published meanwhile, and no step leads back to before it', async () => {
        const theirs = {
            ...draft,
            compartments: draft.compartments.map((one) => (one.id === 'back' ? { ...one, name: 'Rear' } : one)),
        };
        const { person } = await begin((sent) => {
            if (sent.method === 'PUT') {
                return refuse(409, 'Edition 2 was published meanwhile.');
            }
            if (sent.path.endsWith('/merging')) {
                return answer({
                    edition: 'e2',
                    number: 2,
                    draft: { ...sentDraft(sent), compartments: theirs.compartments },
                    theirs,
                    taken: ['The pocket Back: changed.'],
                    clashes: [],
                });
            }
            return sent.path === '/api/designs/foresight'
                ? answer(foresee(sentDraft(sent), { faults: [] }))
                : undefined;
        });
        await person.click(chip(/Shears/));
        await person.selectOptions(screen.getByLabelText('Lives in'), 'Main, Back');
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        await screen.findByText('Nothing stands in the way.');
        await person.click(screen.getByRole('button', { name: 'Publish edition 2' }));
        expect(await screen.findByText('The pocket Back: changed.')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Join both' }));
        expect(await screen.findByText('Joined with edition 2. Look it over, then publish.')).toBeTruthy();
        expect(inPocket('Rear')).toEqual(['L2']);
        expect(screen.getByRole('button', { name: 'Undo' })).toHaveProperty('disabled', true);
    });
});
