import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { keepToday } from '../api/today';
import { sendWaiting } from '../offline/outbox';
import { answer, refuse } from '../testing/server';
import { show } from '../testing/show';
import { storeSender, storeTasks, storeWork, type StoreTask } from './storeWork';
import StoreWorkPage from './StoreWorkPage';

const forget = () =>
    storeTasks.forEach((task) => [storeWork.of('s1', task)].forEach((one) => one && storeWork.drop(one)));
beforeEach(() => {
    forget();
    keepToday('2026-11-27');
});
afterEach(() => {
    forget();
    vi.unstubAllGlobals();
});

const foil: Schemas['StoreRow'] = {
    item: 'foil',
    name: 'Foil blanket',
    lot: 'U6942',
    expires: null,
    good_until: null,
    condition: 'good',
    opened_on: null,
    quantity: 4,
};
const gauze = { ...foil, item: 'gauze', name: 'Gauze', lot: 'H1', expires: '2026-10', good_until: '2026-10-31' };

interface Asked {
    path: string;
    query: Record<string, string>;
    body: unknown;
}

/** The page of one task at a store that has these rows. */
function open(task: StoreTask, rows: Schemas['StoreRow'][] = [foil], pieces = 12, reply = () => answer({})) {
    const asked: Asked[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
        const url = new URL(request.url);
        const text = await request.text();
        asked.push({
            path: url.pathname,
            query: Object.fromEntries(url.searchParams),
            body: text === '' ? null : (JSON.parse(text) as unknown),
        });
        if (request.method === 'PUT') {
            return reply();
        }
        if (url.pathname === '/api/stores/s1') {
            const store = { id: 's1', name: 'Cupboard', place: 'Potting shed', retired_on: null, items: 2, pieces };
            const page = { page: 1, pages: 1, in_all: rows.length };
            return answer({ store, base: { epoch: 1, number: 40 }, rows, page });
        }
        if (url.pathname === '/api/stores') {
            return answer([
                { id: 's1', name: 'Cupboard' },
                { id: 's2', name: 'Meadow chest' },
            ]);
        }
        return answer([]);
    });
    show(
        <Routes>
            <Route path="/stores/:id/:task" element={<StoreWorkPage />} />
        </Routes>,
        ['restock'],
        `/stores/s1/${task}`,
    );
    return { person: userEvent.setup(), asked };
}
const recorded = (asked: Asked[]) => asked.filter((one) => one.path.startsWith('/api/stores/s1/entries/'));
const done = (name: string) => screen.getByRole<HTMLButtonElement>('button', { name });

describe('work at a store', () => {
    it.each([
        ['set_apart', 'good'],
        ['lend', 'good'],
        ['repack', 'good'],
        ['release', 'apart'],
        ['count', undefined],
        ['dispose', undefined],
    ] as const)('to %s asks for lots that are %s', async (task, condition) => {
        const { asked } = open(task);
        await screen.findByText('Foil blanket');
        expect(asked.find((one) => one.path === '/api/stores/s1')?.query.condition).toBe(condition);
    });

    it.each([
        ['release', 12, 'Nothing is set apart in this store.'],
        ['lend', 12, 'There are no good pieces in this store.'],
        ['count', 0, 'Nothing is in this store. Goods that are received appear here.'],
    ] as const)('to %s says what is not there: of %d pieces', async (task, pieces, text) => {
        open(task, [], pieces);
        expect(await screen.findByText(text)).toBeTruthy();
    });

    it('does not say that the store is empty where only the search finds nothing', async () => {
        const { person } = open('count', []);
        await person.type(await screen.findByRole('textbox', { name: 'Show only' }), 'xyz');
        expect(await screen.findByText(/^No lot matches\./)).toBeTruthy();
    });

    it('needs its reason, and records only the rows in which something was typed', async () => {
        const { person, asked } = open('set_apart', [foil, gauze]);
        const pieces = await screen.findByRole('textbox', { name: /Foil blanket/ });
        expect(screen.getByText(/expired 31 Oct 2026/)).toBeTruthy();
        await person.type(pieces, '2');
        const set = done('Set apart');
        expect(set.disabled).toBe(true);
        await person.type(screen.getByRole('textbox', { name: 'Why it is set apart' }), 'The print is blurred');
        expect(set.disabled).toBe(false);
        await person.click(set);
        expect(storeWork.of('s1', 'set_apart')?.isWaiting).toBe(true);
        await sendWaiting([storeSender]);
        await waitFor(() => expect(recorded(asked)).toHaveLength(1));
        expect(recorded(asked)[0]?.body).toMatchObject({
            kind: 'set_apart',
            reason: 'The print is blurred',
            partner: null,
            base: { epoch: 1, number: 40 },
            rows: [{ item: 'foil', lot: 'U6942', quantity: 2, condition: 'good' }],
        });
        expect(storeWork.of('s1', 'set_apart')).toBeNull();
    });

    it.each(['0', '1.5', 'two', '-1'])('does not take %j for a number of pieces', async (typed) => {
        const { person } = open('dispose');
        await person.type(await screen.findByRole('textbox', { name: /Foil blanket/ }), typed);
        await person.type(screen.getByRole('textbox', { name: 'Why it is disposed of' }), 'Damp');
        expect(done('Record disposal').disabled).toBe(true);
        expect(screen.getByText('A whole number of pieces.')).toBeTruthy();
    });

    it('counted as none is a count', async () => {
        const { person } = open('count');
        await person.type(await screen.findByRole('textbox', { name: /Foil blanket/ }), '0');
        expect(done('Record count').disabled).toBe(false);
    });

    it('moved needs the store that it goes to', async () => {
        const { person, asked } = open('move');
        await person.type(await screen.findByRole('textbox', { name: /Foil blanket/ }), '1');
        expect(done('Record move').disabled).toBe(true);
        expect(screen.queryByRole('option', { name: 'Cupboard' })).toBeNull();
        await person.selectOptions(screen.getByLabelText('To which store'), 'Meadow chest');
        await person.click(done('Record move'));
        await sendWaiting([storeSender]);
        await waitFor(() => expect(recorded(asked)[0]?.body).toMatchObject({ kind: 'move', to_store: 's2' }));
    });

    it('lent needs to whom and until when, and what was typed stays where it is refused', async () => {
        const { person, asked } = open('lend', [foil], 12, () =>
            refuse(422, 'Not accepted as entered', { due_on: ['It must come back today or later.'] }),
        );
        await person.type(await screen.findByRole('textbox', { name: /Foil blanket/ }), '1');
        await person.type(screen.getByRole('textbox', { name: 'Lent to' }), 'Alder Valley Scouts');
        expect(done('Record loan').disabled).toBe(true);
        await person.type(screen.getByLabelText('To come back by'), '2026-01-01');
        await person.click(done('Record loan'));
        await sendWaiting([storeSender]);
        expect(await screen.findByText('It must come back today or later.')).toBeTruthy();
        expect(recorded(asked)).toHaveLength(1);
        expect(screen.getByRole('textbox', { name: 'Lent to' })).toHaveProperty('value', 'Alder Valley Scouts');
        expect(storeWork.of('s1', 'lend')?.isWaiting).toBe(false);
    });
});
