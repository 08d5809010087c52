import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { pocket } from '../testing/samples';
import { show } from '../testing/show';
import { VerdictSheet } from './VerdictSheet';

type Reason = Schemas['VerdictResource']['reasons'][number];

const reason = (of: Partial<Reason>): Reason => ({
    kind: 'short',
    severity: 'stop',
    text: 'Gauze: 1 of 2',
    todo: 'Put in 1 × Gauze.',
    job: 'restock',
    line: 'L2',
    item: null,
    row: null,
    pocket_id: 'front',
    ...of,
});

function open(reasons: Reason[], may = ['check', 'restock', 'report'], of: Partial<Schemas['VerdictResource']> = {}) {
    const verdict = {
        verdict: 'not_ready',
        sentence: 'Not ready. Do not use this kit: 1 critical fault.',
        as_of: '2026-11-27',
        next_check: '2026-12-29',
        margin_days: 1,
        reasons,
        shifts: [],
        lines: [],
        ...of,
    } as unknown as Schemas['VerdictResource'];
    const leaves = [{ name: 'Main', pockets: [pocket('front', 'Front', 1)] }] as Schemas['LeafResource'][];
    show(<VerdictSheet verdict={verdict} kit="QH-07" leaves={leaves} />, may);
}
const jobs = () => screen.queryAllByRole('link').map((one) => [one.textContent, one.getAttribute('href')]);

describe('the verdict of a kit', () => {
    it('is a sentence, its day, and until when things must be in date', () => {
        open([]);
        expect(screen.getByRole('heading', { name: 'Not ready. Do not use this kit: 1 critical fault.' })).toBeTruthy();
        expect(
            screen.getByText(
                'Status on 27 Nov 2026. Items must be in date until the next check, 29 Dec 2026, and 1 day more.',
            ),
        ).toBeTruthy();
        expect(jobs()).toEqual([]);
    });

    it('gives its reasons by weight, each with what to do and where', () => {
        open([
            reason({
                severity: 'note',
                text: 'Tape: more than asked for',
                todo: 'Nothing.',
                pocket_id: null,
                job: 'none',
            }),
            reason({}),
            reason({ severity: 'fix', text: 'Gloves expire', pocket_id: 'gone' }),
        ]);
        expect(screen.getAllByRole('heading', { level: 3 }).map((one) => one.textContent)).toEqual([
            'Do not use',
            'Action required',
            'For information',
        ]);
        const [stop, fix, note] = screen.getAllByRole('list').map((list) => within(list).getAllByRole('listitem'));
        expect(stop?.[0]?.textContent).toBe('Gauze: 1 of 2Put in 1 × Gauze. Main, Front.');
        expect(fix?.[0]?.textContent).not.toContain('Main, Front');
        expect(note?.[0]?.textContent).toBe('Tape: more than asked forNothing.');
    });

    it('offers what its reasons ask for, the most pressing first, once each', () => {
        open([
            reason({}),
            reason({ severity: 'fix' }),
            reason({ job: 'report', severity: 'stop' }),
            reason({ job: 'check' }),
        ]);
        expect(jobs()).toEqual([
            ['Answer the report', '/kits/QH-07/report'],
            ['Restock this kit', '/kits/QH-07/restock'],
            ['Check this kit', '/kits/QH-07/check'],
        ]);
    });

    it('offers nothing for information alone, and nothing that the person may not do', () => {
        open([reason({ severity: 'note' }), reason({ job: 'build' }), reason({ job: 'check' })], ['check']);
        expect(jobs()).toEqual([['Check this kit', '/kits/QH-07/check']]);
    });

    it('says how it is in each shift where they differ', () => {
        const shifts = [
            { shift: 'Day', verdict: 'ready', scope: 'trained', now: true },
            { shift: 'Evening', verdict: 'not_ready', scope: 'anyone', now: false },
        ];
        open([], [], { shifts: shifts as never });
        expect(screen.getByText(/Day/)).toBeTruthy();
        expect(screen.getByText(/Evening/)).toBeTruthy();
    });
});
