import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { content, kit, report } from '../testing/samples';
import { answer, refuse, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';
import OpenReportPage from './OpenReportPage';
import ReportsPage from './ReportsPage';

afterEach(() => vi.unstubAllGlobals());

async function open(
    reports: Schemas['ReportResource'][],
    may: string[],
    mayDecide = true,
    more: (sent: Sent) => Response | undefined = () => undefined,
) {
    const sent = serve((one) => {
        const given = more(one);
        if (given) {
            return given;
        }
        if (one.path === '/api/kits/QH-03') {
            return answer(kit({ contents: [content({ item: 'pad', name: 'Trauma pad' })] }));
        }
        return answer(one.path === '/api/kit-tasks' ? { tasks: [], may_give: mayDecide } : reports);
    });
    show(
        <Routes>
            <Route path="/kits/:code/report" element={<ReportsPage />} />
        </Routes>,
        may,
        '/kits/QH-03/report',
    );
    await screen.findByRole('heading', { name: 'Reported used from QH-03 Glasshouse' });
    return { person: userEvent.setup(), sent };
}

describe('what was reported used of a kit', () => {
    it('is confirmed by saying which pieces, or rejected with a reason, by who answers for the kit', async () => {
        const { person, sent } = await open([report()], ['check', 'restock']);
        expect(screen.getByText('2 × Trauma pad')).toBeTruthy();
        const confirm = await screen.findByRole('link', { name: 'Confirm: say which pieces' });
        expect(confirm.getAttribute('href')).toBe('/kits/QH-03/use?report=p1');
        await person.click(screen.getByRole('button', { name: 'Reject the report: 2 × Trauma pad' }));
        expect(screen.getByRole('button', { name: 'Reject' })).toHaveProperty('disabled', true);
        await person.type(screen.getByLabelText('Why it is rejected'), 'Counted, nothing is missing');
        await person.click(screen.getByRole('button', { name: 'Reject' }));
        await waitFor(() => expect(sent.some((one) => one.method === 'PUT')).toBe(true));
        expect(sent.find((one) => one.method === 'PUT')).toMatchObject({
            path: '/api/reports/p1/rejection',
            body: { reason: 'Counted, nothing is missing' },
        });
    });

    it('takes nothing more where a full check has counted since, and says who was faster', async () => {
        const { person } = await open([report({ counted_since: true })], ['check', 'restock'], true, (one) =>
            one.method === 'PUT'
                ? refuse(422, 'Not accepted', { report: ['Ned Abara has rejected this report already.'] })
                : undefined,
        );
        await person.click(await screen.findByRole('button', { name: 'Confirm that this was used: 2 × Trauma pad' }));
        expect(screen.getByText(/^Nothing more is taken from the record/)).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Confirm' }));
        expect(await screen.findByText('Ned Abara has rejected this report already.')).toBeTruthy();
    });

    it('is read by others, who are told who decides', async () => {
        await open([report({ by: 'Isolde Varga' })], ['check', 'restock'], false);
        expect(await screen.findByText(/by Isolde Varga. The responsible person, their deputy or a lead/)).toBeTruthy();
        expect(screen.queryByRole('link', { name: /^Confirm/ })).toBeNull();
        expect(screen.queryByRole('button', { name: /^Reject/ })).toBeNull();
    });

    it('says what became of those that were answered', async () => {
        await open(
            [
                report({
                    outcome: 'rejected',
                    decided_by: 'Maren Oduya',
                    decided_at: '2026-11-27T12:00:00Z',
                    reason: 'Counted',
                }),
            ],
            ['check'],
        );
        expect(screen.getByText('Nothing that was reported waits for an answer.')).toBeTruthy();
        expect(screen.getByText('Rejected')).toBeTruthy();
        expect(screen.getByText(/by Maren Oduya, .*: Counted$/)).toBeTruthy();
    });

    it('is reported by who may not record it', async () => {
        const { person, sent } = await open([], ['report']);
        await person.click(screen.getByRole('button', { name: /^Trauma pad/ }));
        await person.click(screen.getByRole('button', { name: 'Report 1 piece used' }));
        await waitFor(() => expect(sent.some((one) => one.method === 'PUT')).toBe(true));
        expect(sent.find((one) => one.method === 'PUT')).toMatchObject({
            path: expect.stringMatching(/^\/api\/kits\/QH-03\/reports\/[0-9A-Za-z]{26}$/) as string,
            body: { items: [{ item: 'pad', pieces: 1 }] },
        });
    });
});

describe('the page that the code on a label leads to', () => {
    it('shows names of items and nothing else, and thanks', async () => {
        const sent = serve((one) =>
            one.method === 'PUT' ? new Response(null, { status: 204 }) : answer([{ item: 'pad', name: 'Trauma pad' }]),
        );
        show(<OpenReportPage token="abcdefghijklmnop" />);
        const person = userEvent.setup();
        await person.click(await screen.findByRole('button', { name: /^Trauma pad/ }));
        await person.click(screen.getByRole('button', { name: 'Report 1 piece used' }));
        expect(await screen.findByText('Thank you. It is reported.')).toBeTruthy();
        expect(sent.at(-1)).toMatchObject({ body: { items: [{ item: 'pad', pieces: 1 }] } });
        await person.click(screen.getByRole('button', { name: 'Report something else' }));
        expect(screen.getByRole('button', { name: 'Report' })).toHaveProperty('disabled', true);
        expect(document.body.textContent).not.toContain('QH-03');
    });

    it('of an old label says whom to tell, and not whose it was', async () => {
        serve(() => answer([]));
        show(<OpenReportPage token="abcdefghijklmnop" />);
        expect(await screen.findByText(/^This code shows no items/)).toBeTruthy();
        expect(screen.queryByRole('button')).toBeNull();
    });
});
