import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { kit as sample, pocket } from '../testing/samples';
import { serveEach } from '../testing/server';
import { show } from '../testing/show';
import KitPage from './KitPage';

afterEach(() => vi.unstubAllGlobals());

const verdict = {
    verdict: 'not_ready',
    sentence: 'Not ready. Do not use this kit: 1 critical fault.',
    as_of: '2026-11-27',
    next_check: '2026-12-29',
    margin_days: 7,
    expiry: 'strict',
    mass_g: 1200,
    max_mass_g: null,
    is_empty_mass_known: true,
    reasons: [],
    shifts: [],
    lines: [],
};

/** A kit that is in use, with what is said otherwise. */
const kit = (of: Record<string, unknown> = {}): Schemas['KitResource'] =>
    sample({
        place: { id: 'p1', name: 'Tropical house', path: 'Glasshouses, Tropical house' },
        design_name: 'Workplace box',
        scope: 'first_aider',
        scope_because: 'as posted there',
        retired_on: null,
        module_of: null,
        sealed_design: true,
        leaves: [{ name: 'Main', pockets: [pocket('front', 'Front', 1), pocket('back', 'Back', 2)] }],
        verdict,
        due: { text: 'Full check on 20 Nov 2026.', kind: 'full', overdue_days: 7 },
        seal: { state: 'intact', number: '41', broken_on: null, reason: null },
        last_check: null,
        list: {
            id: 'list',
            title: 'Workplace kit',
            size: 'medium',
            edition: '2019',
            origin: 'starter',
            basis: 'BS 8599-1:2019',
            confirmed: false,
        },
        planned: [],
        configurations: [],
        exception: null,
        build: null,
        edition: { id: 'e1', number: 1 },
        later_edition: null,
        ...of,
    } as unknown as Partial<Schemas['KitResource']>);

async function open(of: Record<string, unknown> = {}, may: string[] = ['check', 'restock'], at = '/kits/QH-03') {
    serveEach({ '/api/kits/QH-03': kit(of), '/api/kits/QH-OLD': kit(of) });
    show(
        <Routes>
            <Route path="/kits/:code" element={<KitPage />} />
        </Routes>,
        may,
        at,
    );
    await screen.findByRole('heading', { level: 1, name: 'QH-03 Glasshouse' });
}
const offered = () => screen.getAllByRole('link').map((one) => one.getAttribute('href') ?? '');
const fact = (name: string) => screen.getByText(name).nextElementSibling?.textContent;

describe('the page of a kit', () => {
    it('says first what it is worth, and for whom', async () => {
        await open();
        expect(screen.getByRole('heading', { name: 'Not ready. Do not use this kit: 1 critical fault.' })).toBeTruthy();
        expect(
            screen.getByText(/^Glasshouses, Tropical house · Workplace box · for first aiders, as posted there$/),
        ).toBeTruthy();
    });

    it('says when its check is due, how long that is past, and that it was never checked', async () => {
        await open();
        expect(fact('Next check')).toBe('Full check on 20 Nov 2026. 7 days overdue.');
        expect(fact('Last check')).toBe('Never checked.');
        expect(fact('Expired items')).toBe('count as missing');
        expect(fact('Weight')).toBe('1200 g');
    });

    it('names who signed the last check, from whose account, and what they found', async () => {
        const last = { id: 'c1', done_at: '2026-11-13T09:45:00Z', signed: 'TR', by: 'Tobias Renn', verdict: 'limited' };
        await open({ last_check: last });
        expect(fact('Last check')).toMatch(/^13 Nov 2026, 09:45, TR.*Tobias Renn.*Limited$/);
    });

    it.each([
        [{ state: 'intact', number: '41', broken_on: null, reason: null }, true, /^intact by the record/],
        [
            { state: 'broken', number: null, broken_on: '2026-11-20', reason: 'Used' },
            true,
            /^broken on 20 Nov 2026.*Used/,
        ],
        [{ state: 'none', number: null, broken_on: null, reason: null }, false, /^kept open/],
        [{ state: 'none', number: null, broken_on: null, reason: null }, true, /[Oo]pen/],
    ])('says how its seal is: %j', async (seal, sealed_design, text) => {
        await open({ seal, sealed_design });
        expect(fact('Seal')).toMatch(text);
    });

    it('offers the quick check only where the seal is whole', async () => {
        await open({ due: { text: 'Quick check on 4 Dec 2026.', kind: 'quick', overdue_days: 0 } });
        expect(screen.getByRole('link', { name: /heck QH-03/ }).textContent).toBe('Quick check');
    });

    it('offers the full check where a quick one is due and the seal is broken', async () => {
        const seal = { state: 'broken', number: null, broken_on: '2026-11-20', reason: 'Used' };
        await open({ due: { text: 'Quick check on 4 Dec 2026.', kind: 'quick', overdue_days: 0 }, seal });
        expect(screen.getByRole('link', { name: /heck QH-03/ }).textContent).toBe('Check');
    });

    it('offers at most three actions above the kit and the others under More', async () => {
        await open({}, ['check', 'restock', 'export']);
        const above = ['Check QH-03', 'Restock QH-03', 'Record use of QH-03'].map((name) =>
            screen.queryByRole('link', { name }),
        );
        expect(above.filter((one) => one !== null).length).toBeGreaterThanOrEqual(2);
        expect(offered()).not.toContain('/kits/QH-03/build');
        await userEvent.click(screen.getByRole('button', { name: 'More actions for QH-03' }));
        expect(screen.getAllByRole('menuitem').map((one) => one.textContent)).toEqual([
            'What can it deal with?',
            'History',
            'Repack',
            'Compare with a list',
            'Label',
            'Kit file',
        ]);
    });

    it('offers the same action first as Today', async () => {
        const job = (job: string) => ({ severity: 'fix', text: 'A', todo: 'B', job, pocket_id: null, line: null });
        await open({ job: 'check', verdict: { ...verdict, reasons: [job('restock')] } });
        const jobs = ['Check this kit', 'Restock this kit'].map((name) => screen.getByRole('link', { name }));
        expect(jobs.map((one) => one.className.includes('contained'))).toEqual([true, false]);
    });

    it('lets each do what they may', async () => {
        await open({}, ['report']);
        expect(offered()).toContain('/kits/QH-03/report');
        for (const work of ['check', 'restock', 'use', 'build']) {
            expect(offered(), work).not.toContain(`/kits/QH-03/${work}`);
        }
        await userEvent.click(screen.getByRole('button', { name: 'More actions for QH-03' }));
        expect(screen.queryByRole('menuitem', { name: 'Kit file' })).toBeNull();
    });

    it('that was retired offers its history and nothing to do', async () => {
        await open({ retired_on: '2026-10-01' }, ['check', 'restock', 'equip', 'export']);
        expect(screen.queryByText(/Do not use this kit/)).toBeNull();
        expect(screen.getByText(/1 Oct 2026/)).toBeTruthy();
        expect(offered()).toContain('/kits/QH-03/history');
        for (const work of ['check', 'restock', 'use', 'build', 'label', 'coping']) {
            expect(offered(), work).not.toContain(`/kits/QH-03/${work}`);
        }
    });

    it('that is a module leads to the kit that it is judged with', async () => {
        await open({ module_of: { code: 'QH-07', name: 'Tree crew bag' } });
        expect(screen.getByRole('link', { name: 'QH-07 Tree crew bag' }).getAttribute('href')).toBe('/kits/QH-07');
    });

    it('says so where it is called otherwise now', async () => {
        await open({}, ['check'], '/kits/QH-OLD');
        expect(screen.getByText(/QH-OLD.*QH-03/)).toBeTruthy();
        expect(offered()).toContain('/kits/QH-03/check');
    });

    it.each([
        [false, 1],
        [true, 0],
    ])('warns of a starter list that nobody confirmed: confirmed %s', async (confirmed, warnings) => {
        const list = { ...kit().list, confirmed };
        await open({ list });
        expect(fact('List')).toBe('Workplace kit, medium, edition 2019');
        expect(screen.queryAllByText('Unconfirmed starter list.')).toHaveLength(warnings);
    });
});
