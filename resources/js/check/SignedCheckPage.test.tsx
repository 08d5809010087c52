import { screen } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { serveEach } from '../testing/server';
import { show } from '../testing/show';
import SignedCheckPage from './SignedCheckPage';

afterEach(() => vi.unstubAllGlobals());

const check = (of: Partial<Schemas['CheckResource']> = {}): Schemas['CheckResource'] =>
    ({
        id: 'c1',
        kind: 'full',
        kit: 'QH-10',
        kit_name: 'Shuttle kit',
        place: 'Electric shuttle',
        signed: 'TR',
        signed_because: null,
        by: 'Tobias Renn',
        day: '2026-11-09',
        done_at: '2026-11-09T09:45:00Z',
        received_at: '2026-11-09T09:45:00Z',
        verdict: 'ready',
        findings: [],
        mass_g: 1209,
        max_mass_g: 3000,
        seal_found: null,
        seal_set: null,
        seal_reason: null,
        note: null,
        standing: 'stands',
        unsettled: [],
        list_title: 'Vehicle kit',
        list_edition: '1',
        list_confirmed: false,
        design: 'Vehicle kit',
        expiry: 'strict',
        next_check: '2027-02-01',
        margin_days: 14,
        number: 177,
        hash: '0812d5',
        public_key: 'eCdz',
        rows: [],
        ...of,
    }) as unknown as Schemas['CheckResource'];

/** The check as it was signed, and the kit as it is today. */
async function open(
    of: Partial<Schemas['CheckResource']>,
    today: Record<string, unknown> | null = null,
    may = ['check'],
) {
    const verdict = { verdict: 'not_ready', sentence: 'Not ready. Do not use this kit: 1 critical fault.', shifts: [] };
    serveEach({
        '/api/checks/c1': check(of),
        ...(today && {
            '/api/kits/QH-10': {
                code: 'QH-10',
                verdict: { ...verdict, reasons: [{ severity: 'stop', job: 'restock' }], ...today },
                due: { text: 'Full check on 1 Feb 2027.' },
            },
        }),
    });
    show(
        <Routes>
            <Route path="/checks/:id" element={<SignedCheckPage />} />
        </Routes>,
        may,
        '/checks/c1',
    );
    await screen.findByRole('heading', { level: 1 });
}

describe('a signed check', () => {
    it('says what was judged on its day, and apart from it what the kit is today', async () => {
        await open({}, {}, ['check', 'restock']);
        expect(screen.getByRole('heading', { name: 'Ready on 9 Nov 2026' })).toBeTruthy();
        expect(screen.getByText('Nothing was found wrong.')).toBeTruthy();
        const today = (await screen.findByRole('heading', { name: 'Today' })).closest('section') as HTMLElement;
        expect(today.textContent).toContain('Not ready. Do not use this kit: 1 critical fault.');
        expect(screen.getByRole('link', { name: 'Restock this kit' }).getAttribute('href')).toBe('/kits/QH-10/restock');
    });

    it('says so where what the kit is today cannot be read', async () => {
        await open({});
        expect((await screen.findByRole('alert')).textContent).toMatch(/^How the kit is today could not be read\./);
    });

    it('offers nothing that the person may not do, and no copy', async () => {
        await open({}, {}, ['check']);
        await screen.findByRole('heading', { name: 'Today' });
        expect(screen.queryByRole('link', { name: 'Restock this kit' })).toBeNull();
        expect(screen.queryByRole('link', { name: 'Signed copy' })).toBeNull();
    });

    it('says who signed, from whose account and why, and when it arrived where that was later', async () => {
        await open({ signed_because: 'Signed on a shared device', received_at: '2026-11-09T12:10:00Z' });
        const [above = document.body] = screen.getAllByText(/^Electric shuttle/);
        expect(above.textContent).toContain('signed by TR');
        expect(above.textContent).toContain('Tobias Renn');
        expect(above.textContent).toContain('12:10');
        expect(screen.getByText('Signed on a shared device')).toBeTruthy();
    });

    it('names its list as unconfirmed, what counts as missing and the record that proves it', async () => {
        await open({});
        expect(screen.getByText('Vehicle kit, edition 1, unconfirmed')).toBeTruthy();
        expect(screen.getByText('count as missing')).toBeTruthy();
        expect(screen.getByText('the next check, 1 Feb 2027, and 14 days more')).toBeTruthy();
        expect(screen.getByText('operation 177, hash 0812d5')).toBeTruthy();
    });

    it.each([
        ['superseded', /later check/],
        ['disputed', /[Aa]nother check/],
        ['history', /opened, used/],
    ] as const)('that %s says that it does not answer for the kit', async (standing, text) => {
        await open({ standing });
        expect(screen.getByText(text)).toBeTruthy();
    });

    it('says what needs somebody', async () => {
        await open({ unsettled: [{ id: 'u1', text: '1 × Gauze was found, and is on no record' }] as never });
        expect(screen.getByText('1 entry needs you:')).toBeTruthy();
        expect(screen.getByText('1 × Gauze was found, and is on no record.')).toBeTruthy();
    });

    it('lists what was found, the worst in weight, with the note', async () => {
        const findings = [
            { severity: 'stop', text: 'Large dressing: 0 of 1' },
            { severity: 'note', text: 'Medium dressing is an outdated model' },
        ];
        await open({ verdict: 'limited', findings: findings as never, note: 'Wrapper torn' });
        expect(screen.getByRole('heading', { name: 'Limited on 9 Nov 2026' })).toBeTruthy();
        expect(screen.getByText('Large dressing: 0 of 1')).toBeTruthy();
        expect(screen.queryByText('Nothing was found wrong.')).toBeNull();
        expect(screen.getByText(/Wrapper torn/)).toBeTruthy();
    });
});
