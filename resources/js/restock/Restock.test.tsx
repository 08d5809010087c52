import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { sendWaiting } from '../offline/outbox';
import { kit } from '../testing/samples';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import {
    absentLots,
    beginRestock,
    finish,
    piecesOf,
    restocks,
    restockSender,
    stagingOf,
    type RestockDraft,
} from './draft';
import { HeldBack } from './Missing';
import { RestockRow } from './RestockRow';
import { addedStep, changed, stopsOf, type Step } from './steps';

afterEach(() => vi.unstubAllGlobals());

const plan = {
    store: 's1',
    store_name: 'Cupboard',
    stores: [],
    until: '2027-01-31',
    base: { epoch: 1, number: 40 },
    missing: [],
    stays: [],
    not_advised: [],
    out: [
        {
            step: 2,
            after: [1],
            pocket_id: 'front',
            lot_id: 'l1',
            lot: 'A1',
            name: 'Medium dressing',
            condition: 'opened',
            quantity: 1,
            to: 'discard',
            because: 'opened',
            good_until: null,
            caution: null,
        },
    ],
    in: [
        {
            step: 1,
            pocket_id: 'front',
            lot_id: 'l2',
            lot: 'B2',
            name: 'Medium dressing',
            quantity: 2,
            good_until: '2029-01-31',
        },
        { step: 3, pocket_id: null, lot_id: 'l3', lot: 'C3', name: 'Scissors', quantity: 1, good_until: null },
    ],
} as unknown as Parameters<typeof beginRestock>[1];

const begun = (): RestockDraft => beginRestock(kit(), plan);

describe('a restock', () => {
    it('has a pocket for everything, also for what no line names', () => {
        expect(begun().steps.map((step) => [step.way, step.pocket])).toEqual([
            ['in', 'front'],
            ['out', 'front'],
            ['in', 'front'],
        ]);
        expect(stopsOf(begun().steps).map((stop) => stop.steps.length)).toEqual([3]);
    });

    it('lets nothing leave that still counts before its replacement is in, and puts it back with it', () => {
        const { steps } = begun();
        const [put, take] = steps;
        const is = (key?: string) => (step: Step) => step.key === key;
        const ticked = (now: Step[]) => now.filter((step) => step.isDone).map((step) => step.key);
        expect(ticked(changed(steps, is(take?.key), { isDone: true }))).toEqual([]);
        const both = changed(steps, () => true, { isDone: true });
        expect(ticked(both)).toEqual(['in 1', 'out 2', 'in 3']);
        expect(ticked(changed(both, is(put?.key), { isDone: false }))).toEqual(['in 3']);
        expect(ticked(changed(both, is(put?.key), { quantity: '1' }))).toEqual(['in 1', 'in 3']);
    });

    it('sends what is ticked alone, with the time at which it was done, and then goes', async () => {
        const draft = begun();
        const steps = draft.steps.map((step, at) => ({ ...step, isDone: at !== 2 }));
        restocks.keep(finish({ ...draft, steps, sealReason: 'used' }));
        const sent = serve(() => answer({ kit: {} }));
        expect(await sendWaiting([restockSender])).toBe(1);
        expect(sent[0]).toMatchObject({
            method: 'PUT',
            path: `/api/kits/QH-03/restocks/${draft.id}`,
            body: {
                store: 's1',
                base: { epoch: 1, number: 40 },
                out: [{ pocket_id: 'front', lot_id: 'l1', condition: 'opened', quantity: 1, to: 'discard' }],
                in: [{ pocket_id: 'front', lot_id: 'l2', quantity: 2 }],
                seal_reason: 'used',
                seal_set: null,
            },
        });
        expect(restocks.of('QH-03')).toBeNull();
    });

    it('that is refused stays, with the reason', async () => {
        restocks.keep(finish(begun()));
        serve(() => refuse(409, 'The kit was changed in the meantime.'));
        expect(await sendWaiting([restockSender])).toBe(0);
        expect(restocks.of('QH-03')).toMatchObject({
            isWaiting: false,
            trouble: { detail: 'The kit was changed in the meantime.' },
        });
    });
});

describe('what is done otherwise than listed', () => {
    const shelf = (lot: string, item: string): Schemas['ShelfLot'] => ({
        item,
        name: item,
        caution: null,
        item_class: null,
        staging: null,
        lot_id: lot,
        lot,
        expires: null,
        good_until: null,
        quantity: 1,
    });
    const listed = (): Step[] =>
        begun().steps.map((step) =>
            step.way === 'in'
                ? { ...step, row: { ...step.row, item: 'dressing', accepts: ['dressing', 'dressing-large'] } }
                : step,
        );
    const put = (key: string) => (step: Step) => step.key === key;

    it('lets a piece that still counts leave for what the line accepts, and for nothing else', () => {
        const all = (now: Step[]) => changed(now, () => true, { isDone: true, quantity: '2' });
        const takes = (now: Step[]) => now.find((step) => step.way === 'out')?.isDone;
        expect(takes(all(changed(listed(), put('in 1'), { instead: shelf('l9', 'dressing-large') })))).toBe(true);
        expect(takes(all(changed(listed(), put('in 1'), { instead: shelf('l9', 'scissors') })))).toBe(false);
        expect(takes(changed(listed(), put('in 1'), { isAbsent: true }))).toBe(false);
    });

    it('sends the lot that went in, and the one that was not in the store', async () => {
        let steps = changed(listed(), put('in 1'), { instead: shelf('l9', 'dressing'), quantity: '1', isDone: true });
        steps = changed(steps, put('in 3'), { isAbsent: true });
        steps = [...steps, addedStep(steps, 'back', shelf('l7', 'shears'), 1)];
        restocks.keep(finish({ ...begun(), steps }));
        const sent = serve(() => answer({ kit: {} }));
        await sendWaiting([restockSender]);
        expect(sent[0]?.body).toMatchObject({
            in: [
                { pocket_id: 'front', lot_id: 'l9', quantity: 1 },
                { pocket_id: 'back', lot_id: 'l7', quantity: 1 },
            ],
            not_found: ['l3'],
        });
    });

    it('asks of what goes in instead what is done to it before, and says so', async () => {
        const gloves = { ...shelf('l9', 'gloves'), staging: 'Unfold' };
        const steps = changed(listed(), put('in 1'), { instead: gloves, quantity: '1', isDone: true });
        expect(steps.map(stagingOf)).toEqual(expect.arrayContaining(['Unfold']));
        const added = addedStep(steps, 'back', gloves, 1);
        expect(stagingOf(added)).toBe('Unfold');
        restocks.keep(finish({ ...begun(), steps: changed([...steps, added], put('in 1'), { isStaged: true }) }));
        const sent = serve(() => answer({ kit: {} }));
        await sendWaiting([restockSender]);
        expect(sent[0]?.body).toMatchObject({
            in: [
                { lot_id: 'l9', staged: true },
                { lot_id: 'l9', staged: false },
            ],
        });
    });

    it('does not record as absent what went in under another step', () => {
        const steps = changed(listed(), put('in 3'), { isAbsent: true });
        expect(absentLots([...steps, addedStep(steps, 'back', shelf('l3', 'dressing'), 1)])).toEqual([]);
    });

    it('offers other lots of the item first, and says when the line does not accept what is chosen', async () => {
        const onChange = vi.fn();
        const [step] = listed() as [Step];
        show(
            <RestockRow
                step={step}
                error={undefined}
                waits={[]}
                shelf={[shelf('B2', 'dressing'), shelf('K9', 'dressing'), shelf('S1', 'scissors')]}
                onChange={onChange}
                onFocus={() => undefined}
            />,
        );
        await userEvent.click(screen.getByRole('button', { name: /^Not this lot/ }));
        await userEvent.click(screen.getByRole('combobox', { name: 'Which lot' }));
        expect(screen.getAllByRole('option', { name: /in the store/ }).map((one) => one.textContent)).toContain(
            'dressing, lot K9, undated, 1 in the store',
        );
        await userEvent.selectOptions(screen.getByLabelText('What goes in'), 'Another item');
        await userEvent.click(screen.getByRole('combobox', { name: 'Which item and lot' }));
        await userEvent.click(screen.getByRole('option', { name: /scissors/ }));
        expect(screen.getByText(/It is not accepted for/)).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Change step' }));
        expect(onChange).toHaveBeenCalledWith(
            expect.objectContaining({ instead: expect.objectContaining({ lot_id: 'S1' }) as unknown, quantity: '1' }),
        );
    });
});

describe('what is held back', () => {
    it('says why, whose it is and until when', () => {
        const stay = { pocket_id: 'front', name: 'Medium dressing', lot: 'A1', quantity: 1, because: 'expires_early' };
        const draft = {
            ...begun(),
            stays: [{ ...stay, owner: 'Mina Oduya', by: '2027-01-31' }],
            notAdvised: [
                { need: 'Gauze', name: 'Gauze roll', lot: null, quantity: 2, because: 'no_companion' as const },
            ],
        };
        show(<HeldBack draft={draft} />);
        expect(screen.getByText(/1 × Medium dressing.*Mina Oduya replaces it by 31 Jan 2027/)).toBeTruthy();
        expect(screen.getByText(/2 × Gauze roll: its required companion item is not in the store/)).toBeTruthy();
    });
});

describe('a step', () => {
    const step = (quantity: string): Step => ({ ...begun().steps[0], quantity }) as Step;

    it.each([
        ['2', 2],
        ['-2', null],
        ['1.5', null],
        ['', null],
        ['two', null],
    ])('of %j pieces is of %j', (typed, pieces) => expect(piecesOf(step(typed))).toBe(pieces));

    it('says what is wrong with its pieces, and keeps what was typed', async () => {
        const onChange = vi.fn();
        show(
            <RestockRow
                step={step('1.5')}
                error={undefined}
                waits={[]}
                onChange={onChange}
                onFocus={() => undefined}
            />,
        );
        expect(screen.getByText('A whole number of pieces.')).toBeTruthy();
        await userEvent.type(screen.getByRole('textbox'), '9');
        expect(onChange).toHaveBeenLastCalledWith({ quantity: '9' });
    });

    it('that still counts cannot be ticked, and says after what', async () => {
        const [put, take] = begun().steps as [Step, Step];
        const onChange = vi.fn();
        show(<RestockRow step={take} error={undefined} waits={[put]} onChange={onChange} onFocus={() => undefined} />);
        expect(screen.getByRole<HTMLInputElement>('checkbox').disabled).toBe(true);
        await userEvent.click(screen.getByText('Still counts: only after lot B2 of Medium dressing is in.'));
        expect(onChange).not.toHaveBeenCalled();
    });

    it('asks about more than the list says', () => {
        show(
            <RestockRow
                step={step('20')}
                error={undefined}
                waits={[]}
                onChange={() => undefined}
                onFocus={() => undefined}
            />,
        );
        expect(screen.getByText('The list says 2. Is it so many?')).toBeTruthy();
    });
});
