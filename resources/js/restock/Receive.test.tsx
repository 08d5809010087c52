import { screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { sendWaiting } from '../offline/outbox';
import { answer, onePage, refuse, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';
import { storeSender, storeWork, type StoreTask } from './storeWork';
import StoreWorkPage from './StoreWorkPage';

const forget = () => {
    for (const task of ['receive', 'count'] as const) {
        const one = storeWork.of('s1', task);
        if (one !== null) {
            storeWork.drop(one);
        }
    }
};
beforeEach(forget);
afterEach(() => {
    forget();
    vi.unstubAllGlobals();
});

async function open(task: StoreTask = 'receive', reply: () => Response = () => answer({})) {
    const sent = serve(({ path, method }) => {
        if (method === 'PUT') {
            return reply();
        }
        if (path === '/api/stores/s1') {
            const store = { id: 's1', name: 'Cupboard', place: 'Shed', retired_on: null, items: 0, pieces: 0 };
            return answer({ store, base: { epoch: 1, number: 40 }, rows: [], page: onePage(0) });
        }
        return answer([
            { code: 'gauze', name: 'Gauze' },
            { code: 'foil', name: 'Foil blanket' },
        ]);
    });
    show(
        <Routes>
            <Route path="/stores/:id/:task" element={<StoreWorkPage />} />
        </Routes>,
        ['restock'],
        `/stores/s1/${task}`,
    );
    await screen.findByRole('heading', { level: 1 });
    return { person: userEvent.setup(), sent };
}
type Person = ReturnType<typeof userEvent.setup>;

async function add(person: Person, name: string, label = 'Add an item that came') {
    await person.click(screen.getByRole('combobox', { name: label }));
    await person.click(await screen.findByRole('option', { name }));
    return screen.findByRole('group', { name });
}
const record = (name = 'Record receipt') => screen.getByRole<HTMLButtonElement>('button', { name });
const bodies = (sent: Sent[]) => sent.filter((one) => one.method === 'PUT').map((one) => one.body);

describe('goods that came', () => {
    it('are typed as they are printed, read aloud as a day, and sent with their price', async () => {
        const { person, sent } = await open();
        expect(record().disabled).toBe(true);
        const row = await add(person, 'Gauze');
        expect(document.activeElement).toBe(within(row).getByRole('textbox', { name: 'Pieces: Gauze' }));
        await person.keyboard('20');
        await person.type(within(row).getByRole('textbox', { name: 'Lot: Gauze' }), 'H7');
        await person.type(within(row).getByRole('textbox', { name: 'Date: Gauze' }), '03/27');
        expect(within(row).getByText('read as 31 Mar 2027')).toBeTruthy();
        await person.type(within(row).getByLabelText('Price of a pack'), '4.50');
        await person.type(screen.getByLabelText('Delivery note'), 'N-12');
        await person.click(record());
        await sendWaiting([storeSender]);
        await waitFor(() => expect(bodies(sent)).toHaveLength(1));
        expect(bodies(sent)[0]).toMatchObject({
            kind: 'receive',
            delivery_note: 'N-12',
            reason: null,
            rows: [
                {
                    item: 'gauze',
                    lot: 'H7',
                    expires: '2027-03',
                    quantity: 20,
                    price: 450,
                    packs: null,
                    price_checked: false,
                },
            ],
        });
    });

    it.each([
        ['Date: Gauze', '31/02/2027', 'There is no such day or month.'],
        ['Pieces: Gauze', 'many', 'A whole number of pieces.'],
    ])('are not taken with %s as %s', async (field, typed, text) => {
        const { person } = await open();
        const row = await add(person, 'Gauze');
        await person.type(within(row).getByRole('textbox', { name: 'Pieces: Gauze' }), '2');
        await person.clear(within(row).getByRole('textbox', { name: field }));
        await person.type(within(row).getByRole('textbox', { name: field }), typed);
        expect(within(row).getByText(text)).toBeTruthy();
        expect(record().disabled).toBe(true);
    });

    it('far below the usual price are asked about, and recorded once somebody has looked', async () => {
        const price = ['A pack of this usually costs 9.80. Look whether the goods are genuine.'];
        const { person, sent } = await open('receive', () =>
            bodies(sent).length < 2 ? refuse(422, 'Not accepted as entered', { 'rows.0.price': price }) : answer({}),
        );
        const row = await add(person, 'Gauze');
        await person.type(within(row).getByRole('textbox', { name: 'Pieces: Gauze' }), '20');
        await person.type(within(row).getByLabelText('Price of a pack'), '0.90');
        expect(within(row).queryByRole('checkbox')).toBeNull();
        await person.click(record());
        await sendWaiting([storeSender]);
        expect(await within(row).findByText(price[0] ?? '')).toBeTruthy();
        expect(within(row).getByRole('textbox', { name: 'Pieces: Gauze' })).toHaveProperty('value', '20');
        await person.click(within(row).getByRole('checkbox', { name: /genuine/ }));
        await person.click(record());
        await sendWaiting([storeSender]);
        await waitFor(() => expect(bodies(sent)).toHaveLength(2));
        expect(bodies(sent)[1]).toMatchObject({ rows: [{ price: 90, price_checked: true }] });
    });

    it('are looked at anew where the price is typed anew', async () => {
        const { person } = await open('receive', () => refuse(422, 'No', { 'rows.0.price': ['Very low.'] }));
        const row = await add(person, 'Gauze');
        await person.type(within(row).getByRole('textbox', { name: 'Pieces: Gauze' }), '20');
        await person.type(within(row).getByLabelText('Price of a pack'), '0.90');
        await person.click(record());
        await sendWaiting([storeSender]);
        await person.click(await within(row).findByRole('checkbox', { name: /genuine/ }));
        await person.type(within(row).getByLabelText('Price of a pack'), '1');
        expect(storeWork.of('s1', 'receive')?.rows[0]?.isPriceChecked).toBe(false);
    });

    it('of the same item in two lots are two rows, each removed by itself', async () => {
        const { person } = await open();
        await add(person, 'Gauze');
        await person.click(screen.getByRole('combobox', { name: 'Add an item that came' }));
        await person.click(await screen.findByRole('option', { name: 'Gauze' }));
        expect(screen.getAllByRole('group', { name: 'Gauze' })).toHaveLength(2);
        await person.click(screen.getAllByRole('button', { name: 'Remove Gauze' })[0] as HTMLElement);
        expect(screen.getAllByRole('group', { name: 'Gauze' })).toHaveLength(1);
    });
});

describe('a count', () => {
    it('takes what was found and is not on the record, with a reason where there is one', async () => {
        const { person, sent } = await open('count');
        const row = await add(person, 'Foil blanket', 'Add an item that is not listed');
        await person.type(within(row).getByRole('textbox', { name: 'Pieces: Foil blanket' }), '3');
        expect(within(row).queryByLabelText('Price of a pack')).toBeNull();
        await person.type(screen.getByRole('textbox', { name: 'Why the count differs' }), 'Behind the boxes');
        await person.click(record('Record count'));
        await sendWaiting([storeSender]);
        await waitFor(() => expect(bodies(sent)).toHaveLength(1));
        expect(bodies(sent)[0]).toMatchObject({
            kind: 'count',
            reason: 'Behind the boxes',
            rows: [{ item: 'foil', lot: null, expires: null, quantity: 3, price: null }],
        });
    });
});
