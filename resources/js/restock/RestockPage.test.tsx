import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes, useLocation } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { sendWaiting } from '../offline/outbox';
import { plan } from '../testing/restock';
import { kit, pocket } from '../testing/samples';
import { answer, refuse, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';
import { restocks, restockSender } from './draft';
import RestockPage from './RestockPage';

afterEach(() => {
    restocks.drop('QH-03');
    vi.unstubAllGlobals();
});

interface Opened {
    isDesk?: boolean;
    list?: Partial<Schemas['RestockResource']>;
    of?: Partial<Schemas['KitResource']>;
    at?: string;
    reply?: () => Response;
}

const Where = () => <output>{useLocation().pathname}</output>;

/** The restock list of a kit, at the desk or in hand. */
async function open({ isDesk = true, list = {}, of = {}, at = '', reply = () => answer({}) }: Opened = {}) {
    vi.stubGlobal('matchMedia', () => ({ matches: isDesk, addEventListener: vi.fn(), removeEventListener: vi.fn() }));
    const leaves = [{ name: 'Main', pockets: [pocket('front', 'Front', 1), pocket('back', 'Back', 2)] }];
    const sent = serve(({ path, method }) => {
        if (method === 'PUT') {
            return reply();
        }
        return answer(path === '/api/kits/QH-03' ? kit({ leaves, ...of }) : { ...plan, shelf: [], ...list });
    });
    show(
        <Routes>
            <Route path="/kits/:code/restock" element={<RestockPage />} />
            <Route path="*" element={<Where />} />
        </Routes>,
        ['restock'],
        `/kits/QH-03/restock${at}`,
    );
    await screen.findByText(isDesk ? 'Restock QH-03 Glasshouse' : /^Main, Front/);
    return { person: userEvent.setup(), sent };
}
const button = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });
const recorded = (sent: Sent[]) => sent.filter((one) => one.method === 'PUT').map((one) => one.body);

describe('the restock list at the desk', () => {
    it('records what is ticked, and asks why the seal was broken', async () => {
        const { person, sent } = await open();
        expect(screen.getByText(/^From Cupboard\. What goes in must be in date until 31 Jan 2027\.$/)).toBeTruthy();
        expect(button('Save and update status').disabled).toBe(true);
        const [first] = screen.getAllByRole('checkbox');
        await person.click(first as HTMLElement);
        expect(screen.getByRole('heading', { name: '1 of 3 done' })).toBeTruthy();
        expect(screen.getByText(/2 steps are not ticked/)).toBeTruthy();
        await person.type(screen.getByRole('textbox', { name: 'Why the seal was broken' }), 'Restocked');
        await person.click(button('Save and update status'));
        await sendWaiting([restockSender]);
        await waitFor(() => expect(recorded(sent)).toHaveLength(1));
        expect(recorded(sent)[0]).toMatchObject({
            store: 's1',
            base: { epoch: 1, number: 40 },
            in: [{ pocket_id: 'front', lot_id: 'l2', quantity: 2, staged: null }],
            out: [],
            seal_reason: 'Restocked',
            seal_set: null,
            round_id: null,
        });
    });

    it('all done is all of it: the opened one too, since its replacement is in', async () => {
        const { person } = await open();
        await person.click(button('All done'));
        expect(screen.getByRole('heading', { name: '3 of 3 done' })).toBeTruthy();
        expect(restocks.of('QH-03')?.steps.every((step) => step.isDone)).toBe(true);
    });

    it('keeps what was ticked where it is refused, and says why', async () => {
        const { person } = await open({
            reply: () => refuse(409, 'The cupboard has 1 of lot B2 now.', { 'in.0.quantity': ['There is 1 there.'] }),
        });
        await person.click(screen.getAllByRole('checkbox')[0] as HTMLElement);
        await person.click(button('Save and update status'));
        expect(await screen.findByText(/Saved on this device/)).toBeTruthy();
        await sendWaiting([restockSender]);
        expect((await screen.findByRole('alert')).textContent).toContain('The cupboard has 1 of lot B2 now.');
        expect(screen.getByText('There is 1 there.')).toBeTruthy();
        expect(screen.getAllByRole<HTMLInputElement>('checkbox')[0]?.checked).toBe(true);
    });

    it('is read anew only when asked twice, since what was ticked goes', async () => {
        const { person } = await open();
        expect(screen.queryByRole('button', { name: 'Read the list anew' })).toBeNull();
        await person.click(screen.getAllByRole('checkbox')[0] as HTMLElement);
        await person.click(button('Read the list anew'));
        expect(restocks.of('QH-03')).not.toBeNull();
        await person.click(screen.getAllByRole('button', { name: 'Read the list anew' }).at(-1) as HTMLElement);
        await waitFor(() => expect(restocks.of('QH-03')).toBeNull());
    });

    it('goes on with the list as it was begun, whatever the server says now', async () => {
        const first = await open();
        await first.person.click(screen.getAllByRole('checkbox')[0] as HTMLElement);
        document.body.innerHTML = '';
        await open({ list: { in: [], out: [] } });
        expect(screen.getByRole('heading', { name: '1 of 3 done' })).toBeTruthy();
    });

    it.each([
        [[], 'Nothing is missing, and nothing in it has to go.'],
        [[{ what: 'Gauze', quantity: 2, is_critical: true }], /^The store has nothing/],
    ])('says whether nothing is missing, or the store has nothing of it', async (missing, text) => {
        await open({ list: { in: [], out: [], missing: missing as never } });
        expect(screen.getByText(text)).toBeTruthy();
        expect(screen.queryByRole('button', { name: 'Save and update status' })).toBeNull();
    });

    it('asks for the store only where there are several and nothing is begun', async () => {
        const stores = [
            { id: 's1', name: 'Cupboard' },
            { id: 's2', name: 'Chest' },
        ];
        const { person } = await open({ list: { stores: stores } });
        expect(screen.getByLabelText('Store')).toHaveProperty('value', 's1');
        await person.click(screen.getAllByRole('checkbox')[0] as HTMLElement);
        expect(screen.queryByLabelText('Store')).toBeNull();
    });

    it('of a round leads back to the round', async () => {
        const { person, sent } = await open({ at: '?round=r1&store=s1' });
        await person.click(button('All done'));
        await person.click(button('Save and update status'));
        await sendWaiting([restockSender]);
        await waitFor(() => expect(recorded(sent)[0]).toMatchObject({ round_id: 'r1' }));
        expect(await screen.findByText('/rounds/r1')).toBeTruthy();
    });
});

describe('the restock list in hand', () => {
    it('is a pocket a screen, done with one press, and ends with the seal', async () => {
        const { person } = await open({ isDesk: false });
        await person.click(button('All of this pocket done'));
        expect(await screen.findByRole('textbox', { name: 'Why the seal was broken' })).toBeTruthy();
        expect(button('Save and update status').disabled).toBe(false);
        await person.click(button('Back to the first pocket'));
        expect(screen.getByText(/3 of 3 done/)).toBeTruthy();
    });

    it('passed over, nothing of the pocket is done', async () => {
        const { person } = await open({ isDesk: false });
        await person.click(button('Next'));
        expect(button('Save and update status').disabled).toBe(true);
        expect(restocks.of('QH-03')).toBeNull();
    });
});
