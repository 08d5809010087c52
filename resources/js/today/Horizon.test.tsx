import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { show } from '../testing/show';
import { Horizon } from './Horizon';

type Mark = Schemas['MarkResource'];

const mark = (day: string, kind: Mark['kind'], kit: string, texts: string[]): Mark => ({
    day,
    kind,
    kit,
    texts,
    is_overdue: kind === 'check' && day < '2026-11-27',
});

function open(marks: Mark[]) {
    show(
        <Horizon
            today={
                {
                    as_of: '2026-11-27',
                    from: '2026-11-01',
                    until: '2027-11-30',
                    horizon_more: 0,
                    horizon: [{ place: { id: 'p1', name: 'Saw shed', path: 'Tree yard, Saw shed' }, marks }],
                } as unknown as Schemas['TodayResource']
            }
        />,
    );
}
const buttons = () => screen.queryAllByRole('button').map((one) => one.getAttribute('aria-label'));

describe('the horizon', () => {
    it('has thirteen months from this one on, the year where it begins', () => {
        open([]);
        const heads = screen.getAllByRole('columnheader').map((one) => one.textContent.replace(/\s/g, ''));
        expect(heads).toHaveLength(14);
        expect(heads.slice(0, 4)).toEqual(['Place', 'Nov’26', 'Dec', 'Jan’27']);
        expect(heads.at(-1)).toBe('Nov’27');
        expect(buttons()).toEqual([]);
    });

    it('marks what expires and what is to be checked in its month, and what is overdue in this one', () => {
        open([
            mark('2026-09-20', 'check', 'QH-07', ['Full check on 20 Sep 2026.']),
            mark('2026-11-30', 'expiry', 'QH-07', ['Gauze expires', 'Tape expires']),
            mark('2027-02-28', 'expiry', 'QH-08', ['Gel expires']),
            mark('2027-02-11', 'check', 'QH-08', ['Quick check on 11 Feb 2027.']),
        ]);
        expect(buttons()).toEqual([
            'Saw shed, Nov 2026: 1 check overdue, 2 things expiring',
            'Saw shed, Feb 2027: 1 check, 1 thing expiring',
        ]);
    });

    it('says of a month what it is, on which day and in which kit', async () => {
        open([mark('2027-02-28', 'expiry', 'QH-08', ['Gel expires', 'Tape expires'])]);
        await userEvent.click(screen.getByRole('button', { name: /Feb 2027/ }));
        const month = await screen.findByRole('presentation');
        expect(within(month).getByRole('heading', { name: 'Saw shed, Feb 2027' })).toBeTruthy();
        expect(within(month).getByText('28 Feb 2027')).toBeTruthy();
        expect(within(month).getByRole('link', { name: 'QH-08' }).getAttribute('href')).toBe('/kits/QH-08');
        expect(within(month).getByText('Tape expires')).toBeTruthy();
    });
});
