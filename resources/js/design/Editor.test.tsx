import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { begin, chip, foresee, inPocket, sentDraft } from '../testing/packing';
import { answer, type Sent } from '../testing/server';

afterEach(() => vi.unstubAllGlobals());

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
        expect(screen.getByText(/1 × Shears:/).textContent).toContain('1 × Shears: frees 10 g, £2.40');
    });

    it('says what was left behind and missed, and takes another remark', async () => {
        const { sent, person } = await begin();
        expect(screen.getByText('Left behind on 3 May 2026, then missed: No way to cut (Maren Oduya)')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'It was missed: 1 × Shears' }));
        const dialog = within(screen.getByRole('dialog'));
        expect(dialog.getByRole('button', { name: 'Save remark' })).toHaveProperty('disabled', true);
        fireEvent.change(dialog.getByLabelText('Left behind on'), { target: { value: '2026-06-01' } });
        await person.type(dialog.getByLabelText('How it was missed'), 'Nothing to cut the boot');
        await person.click(dialog.getByRole('button', { name: 'Save remark' }));
        await waitFor(() =>
            expect(sent.find((one) => one.method === 'PUT')?.body).toEqual({
                item: 'L2',
                left_on: '2026-06-01',
                note: 'Nothing to cut the boot',
            }),
        );
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
        const field = screen.getByLabelText('Maximum weight of the kit');
        await person.type(field, 'x9');
        expect((field as HTMLInputElement).value).toBe('x9');
        expect(screen.getByText('Enter a weight from 1 to 1,000,000 g, such as 800 or 4 kg.')).toBeTruthy();
        await person.clear(field);
        await person.type(field, '900');
        expect(screen.queryByText('Enter a weight from 1 to 1,000,000 g, such as 800 or 4 kg.')).toBeNull();
        await person.clear(field);
        await person.type(field, '9 lb');
        expect(screen.getByText('4082 g')).toBeTruthy();
        const cost = screen.getByLabelText('Costs at most, GBP');
        await person.type(cost, '12.5');
        expect((cost as HTMLInputElement).value).toBe('12.5');
    });
});
