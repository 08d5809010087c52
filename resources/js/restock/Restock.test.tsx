import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { sendWaiting } from '../offline/outbox';
import { begun } from '../testing/restock';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import { absentLots, finish, restocks, restockSender, stagingOf } from './draft';
import { RestockRow } from './RestockRow';
import { addedStep, changed, stopsOf, type Step } from './steps';

afterEach(() => vi.unstubAllGlobals());

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
            'dressing, lot K9, no date on record, 1 in the store',
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
