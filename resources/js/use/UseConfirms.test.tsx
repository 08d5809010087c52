import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { content, kit, pocket, report } from '../testing/samples';
import { answer, serve } from '../testing/server';
import { show } from '../testing/show';
import { beginUse, uses } from './draft';
import UseListPage from './UseListPage';
import UsePage from './UsePage';

afterEach(() => {
    vi.unstubAllGlobals();
    uses.drop('QH-03');
});

const bag = kit({
    seal: { state: 'none', number: null } as Schemas['KitResource']['seal'],
    leaves: [{ name: 'Main', pockets: [pocket('front', 'Front', 1)] }],
    contents: [
        content({ lot_id: 'l1', item: 'pad', name: 'Trauma pad', caution: null, good_until: null }),
        content({ lot_id: 'l2', item: 'shears', name: 'Shears', quantity: 1, comes_back: true, good_until: null }),
    ],
});

const waits = report();

function open(search: string, reports: Schemas['ReportResource'][]) {
    serve((one) => answer(one.path === '/api/kits/QH-03' ? bag : one.path.endsWith('/reports') ? reports : {}));
    show(
        <Routes>
            <Route path="/kits/:code/use" element={<UsePage />} />
        </Routes>,
        ['restock'],
        `/kits/QH-03/use${search}`,
    );
    return userEvent.setup();
}

describe('a use that confirms a report', () => {
    it('begins with the reported pieces, and says what it confirms', async () => {
        open('?report=p1', [waits]);
        expect(await screen.findByText(/^This confirms the report of .*: 2 × Trauma pad/)).toBeTruthy();
        expect(await screen.findByRole('button', { name: 'Record 2 pieces taken' })).toBeTruthy();
        expect(uses.of('QH-03')).toMatchObject({ report: 'p1' });
    });

    it('that is gone on with later says so still', async () => {
        uses.keep({ ...beginUse(bag), report: 'p1' });
        open('', [waits]);
        expect(await screen.findByText(/^This confirms the report of/)).toBeTruthy();
    });

    it('confirms it no longer where somebody else has answered it, and keeps what was pressed', async () => {
        const begun = beginUse(bag, 'p1');
        uses.keep({ ...begun, note: 'At the gate' });
        open('', [{ ...waits, outcome: 'rejected' }]);
        await waitFor(() => expect(uses.of('QH-03')).toMatchObject({ report: null, note: 'At the gate' }));
        expect(screen.queryByText(/^This confirms the report/)).toBeNull();
    });

    it('of nothing is not recorded, also where the kit is handed back', async () => {
        uses.keep({ ...beginUse(bag, 'p1'), handsBack: true, signed: 'MO', isBack: {} });
        const person = open('', [waits]);
        await person.click(await screen.findByRole('button', { name: 'Shears: back' }));
        expect(screen.getByRole('button', { name: 'Nothing used: sign' })).toHaveProperty('disabled', true);
    });
});

describe('the end of a shift', () => {
    it('asks of each tool whether it is back before it is signed', async () => {
        const person = open('?end=shift', []);
        expect(await screen.findByRole('heading', { name: 'Hand back QH-03 Glasshouse' })).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Say of 1 tool whether it is back' })).toHaveProperty(
            'disabled',
            true,
        );
        await person.click(screen.getByRole('button', { name: 'Shears: not back' }));
        expect(screen.getByText(/not back: 1 lost/)).toBeTruthy();
        expect(screen.getByRole('button', { name: 'Sign below first' })).toHaveProperty('disabled', true);
        await person.type(screen.getByLabelText('Signed by'), 'MO');
        expect(screen.getByRole('button', { name: 'Record 1 piece and sign' })).toHaveProperty('disabled', false);
        await person.click(screen.getByRole('button', { name: 'Shears: back' }));
        expect(screen.getByRole('button', { name: 'Nothing used: sign' })).toHaveProperty('disabled', false);
    });

    it('begins with the kits that go back, each handed back by its own button', async () => {
        const row = {
            code: 'QH-03',
            name: 'Glasshouse',
            place: { path: 'Glasshouses' },
            design_name: 'Small box',
            seal: 'none',
            due_on: null,
            due_kind: null,
            overdue_days: 0,
            reasons: [],
            verdict: 'ready',
        };
        serve(() => answer({ kits: [row], page: { number: 1, pages: 1, in_all: 1, first: 1, last: 1 } }));
        show(<UseListPage atEndOfShift />);
        expect(await screen.findByRole('heading', { name: 'End of a shift' })).toBeTruthy();
        const back = screen.getByRole('link', { name: 'Hand back QH-03' });
        expect(back.getAttribute('href')).toBe('/kits/QH-03/use?end=shift');
        expect(screen.queryByRole('link', { name: 'End of a shift' })).toBeNull();
    });
});
