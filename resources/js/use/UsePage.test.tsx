import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { sendWaiting } from '../offline/outbox';
import { content, kit, pocket } from '../testing/samples';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import { usedSender, uses } from './draft';
import UsePage from './UsePage';

afterEach(() => vi.unstubAllGlobals());

const bag = (to: Partial<Schemas['KitResource']> = {}) =>
    kit({
        seal: { state: 'none', number: null } as Schemas['KitResource']['seal'],
        leaves: [{ name: 'Main', pockets: [pocket('front', 'Front', 1), pocket('back', 'Back', 2)] }],
        contents: [
            content({ lot_id: 'l1', item_class: 'dressing', start_minutes: null, caution: null, good_until: null }),
            content({
                lot_id: 'l2',
                item: 'blanket',
                name: 'Heating blanket',
                item_class: 'blanket',
                pocket_id: 'back',
                lot: 'H1',
                quantity: 1,
                opened_life_days: 30,
                start_minutes: 5,
                caution: 'Not on bare skin.',
                good_until: null,
            }),
        ],
        ...to,
    });

async function open(to: Partial<Schemas['KitResource']> = {}) {
    serve((sent) => answer(sent.path === '/api/kits/QH-03' ? bag(to) : {}));
    show(
        <Routes>
            <Route path="/kits/:code/use" element={<UsePage />} />
        </Routes>,
        ['restock'],
        '/kits/QH-03/use',
    );
    await screen.findByRole('heading', { name: 'Taken from QH-03 Glasshouse' });
    return userEvent.setup();
}

const take = (name: string) =>
    screen
        .getAllByRole('button')
        .find((one) => one.textContent.includes(name) && one.textContent.includes('Take')) as HTMLElement;
const recordIt = () => screen.getByRole('button', { name: /^Record/ });

describe('what was taken from a kit', () => {
    it('is pressed once for each piece, never more than are there, and taken back', async () => {
        const person = await open();
        expect(recordIt()).toHaveProperty('disabled', true);
        await person.click(take('Heating blanket'));
        expect(take('Heating blanket')).toHaveProperty('disabled', true);
        expect(recordIt().textContent).toBe('Record 1 piece taken');
        await person.click(screen.getByRole('button', { name: 'One fewer of Heating blanket, lot H1' }));
        expect(screen.getByText('Nothing yet. Press what was taken.')).toBeTruthy();
        expect(recordIt()).toHaveProperty('disabled', true);
    });

    it('is found by a word, and by a pocket of the picture', async () => {
        const person = await open();
        await person.type(screen.getByLabelText('Find an item in this kit'), 'heating');
        expect(take('Medium dressing')).toBeUndefined();
        await person.clear(screen.getByLabelText('Find an item in this kit'));
        await person.click(screen.getByRole('button', { name: /^Front/ }));
        expect(take('Heating blanket')).toBeUndefined();
        expect(take('Medium dressing')).toBeTruthy();
        await person.type(screen.getByLabelText('Find an item in this kit'), 'nothing like it');
        expect(screen.getByText('Nothing in this kit is called so.')).toBeTruthy();
    });

    it('says what an opened piece is worth, and is sent as it was said', async () => {
        const person = await open();
        await person.click(take('Heating blanket'));
        await person.selectOptions(screen.getByLabelText('Heating blanket: used up or opened'), 'opened');
        expect(screen.getByText('Good for 30 days from today.')).toBeTruthy();
        await person.click(take('Medium dressing'));
        await person.selectOptions(screen.getByLabelText('Medium dressing: used up or opened'), 'opened');
        expect(screen.getByText('Once opened it no longer counts.')).toBeTruthy();
        await person.selectOptions(screen.getByLabelText('Why Medium dressing was taken'), 'moved');
        expect(screen.queryByLabelText('Medium dressing: used up or opened')).toBeNull();
        expect(recordIt()).toHaveProperty('disabled', true);
        await person.type(screen.getByLabelText('To the kit with the code'), 'QH-05');
        await person.type(screen.getByLabelText('What happened'), 'Fall on the steps');
        await person.click(recordIt());
        const sent = serve(() => answer({}));
        await sendWaiting([usedSender]);
        expect(sent[0]?.body).toMatchObject({
            note: 'Fall on the steps',
            seal_reason: null,
            taken: [
                { lot_id: 'l2', why: 'used', opened: true, to_kit: null, quantity: 1 },
                { lot_id: 'l1', why: 'moved', opened: false, to_kit: 'QH-05', quantity: 1 },
            ],
        });
    });

    it('keeps what was pressed where it is refused, at the field', async () => {
        const person = await open();
        await person.click(take('Medium dressing'));
        await person.selectOptions(screen.getByLabelText('Why Medium dressing was taken'), 'moved');
        await person.type(screen.getByLabelText('To the kit with the code'), 'QH-99');
        await person.click(recordIt());
        serve(() => refuse(422, 'Not accepted as entered.', { 'taken.0.to_kit': ['There is no kit QH-99.'] }));
        await sendWaiting([usedSender]);
        expect(await screen.findByText('There is no kit QH-99.')).toBeTruthy();
        expect(uses.of('QH-03')?.isWaiting).toBe(false);
    });

    it('asks why the seal was broken, and discards only when asked twice', async () => {
        const person = await open({ seal: { state: 'intact', number: null } as Schemas['KitResource']['seal'] });
        await person.click(take('Medium dressing'));
        expect(recordIt()).toHaveProperty('disabled', true);
        await person.type(screen.getByLabelText('Why the seal was broken'), 'A thorn');
        expect(recordIt()).toHaveProperty('disabled', false);
        await person.click(screen.getByRole('button', { name: 'Discard' }));
        await person.click(screen.getByRole('button', { name: 'Cancel' }));
        expect(uses.of('QH-03')).not.toBeNull();
        await person.click(screen.getByRole('button', { name: 'Discard' }));
        await person.click(screen.getAllByRole('button', { name: 'Discard' }).at(-1) as HTMLElement);
        await waitFor(() => expect(uses.of('QH-03')).toBeNull());
    });
});
