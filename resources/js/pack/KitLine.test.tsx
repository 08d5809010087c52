import { screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { answer, serve } from '../testing/server';
import { show } from '../testing/show';
import { KitLine } from './KitLine';
import { NotStaged } from './NotStaged';
import { kit as sample } from '../testing/samples';
import userEvent from '@testing-library/user-event';

afterEach(() => vi.unstubAllGlobals());

const kit = (of: Partial<Schemas['KitRow']> = {}): Schemas['KitRow'] =>
    ({
        code: 'QH-07',
        name: 'Tree crew bag',
        place: { id: 'p1', name: 'Saw shed', path: 'Tree yard, Saw shed' },
        design_name: 'Tree crew bag',
        verdict: 'not_ready',
        due_on: '2026-11-20',
        due_kind: 'full',
        overdue_days: 7,
        wants_restock: true,
        job: 'check',
        holds_through: null,
        seal: 'none',
        reasons: ['Gauze: 1 of 2', 'Gauze expired', 'Tape: 0 of 1'],
        ...of,
    }) as unknown as Schemas['KitRow'];

const offered = () =>
    screen
        .queryAllByRole('link')
        .slice(1)
        .map((one) => [one.getAttribute('aria-label'), one.getAttribute('href')]);

describe('a kit in a list', () => {
    it('says how it is, where, when its check is due and why', () => {
        show(<KitLine kit={kit({ seal: 'broken' })} isPlaced />);
        expect(screen.getByText('Not ready')).toBeTruthy();
        expect(document.body.textContent).toContain('Tree yard, Saw shed · Tree crew bag');
        expect(document.body.textContent).toMatch(/seal broken.*7 days overdue/);
        expect(document.body.textContent).toContain('Gauze: 1 of 2');
        expect(document.body.textContent).toContain('2 more reasons');
        expect(document.body.textContent).not.toContain('Tape: 0 of 1');
    });

    it('says that it is being updated rather than how it was', () => {
        show(<KitLine kit={kit({ verdict: null as never })} />);
        expect(screen.getByText('Being updated')).toBeTruthy();
        expect(screen.queryByText('Not ready')).toBeNull();
    });

    it.each([
        ['the check that the server offers', { job: 'check' }, ['Check QH-07', '/kits/QH-07/check']],
        ['the restock that the server offers', { job: 'restock' }, ['Restock QH-07', '/kits/QH-07/restock']],
        ['a first aider where nobody is trained', { job: 'people' }, ['Post a first aider QH-07', '/assess/people']],
        ['a quick check by its name', { due_kind: 'quick' }, ['Quick check QH-07', '/kits/QH-07/check']],
    ] as const)('offers %s', (_, of, link) => {
        show(<KitLine kit={kit(of)} />, ['check', 'restock', 'plan']);
        expect(offered()).toEqual([link]);
    });

    it('offers nothing where nothing is wanted, or the person may not do it', () => {
        show(<KitLine kit={kit({ job: null })} />);
        show(<KitLine kit={kit()} />, ['report']);
        expect(screen.getAllByRole('link')).toHaveLength(2);
    });

    it('offers what its list is of, and at the end of a shift to hand it back', () => {
        show(<KitLine kit={kit()} job="hand_back" />);
        expect(offered()).toEqual([['Hand back QH-07', '/kits/QH-07/use?end=shift']]);
    });
});

describe('what is not staged', () => {
    const reason = (item: string, text: string) => ({ kind: 'unprepared', severity: 'fix', item, text, job: 'none' });
    const unstaged = (reasons: unknown[]) => sample({ verdict: { lines: [], reasons } as never });

    it('is said once for each item, and done with a press', async () => {
        const sent = serve(() => answer({ code: 'QH-03' }));
        const reasons = [
            reason('gauze', 'Gauze is not staged: wrapper off'),
            reason('gauze', 'Gauze is not staged: wrapper off'),
        ];
        show(<NotStaged kit={unstaged([...reasons, reason('gloves', 'Gloves are not staged: unfold them')])} />);
        expect(screen.getAllByRole('button')).toHaveLength(2);
        await userEvent.click(screen.getByRole('button', { name: /Gloves/ }));
        expect(sent[0]?.path).toMatch(/^\/api\/kits\/QH-03\/staging\//);
        expect(sent[0]?.body).toEqual({ item: 'gloves' });
    });

    it.each([
        [[], ['restock']],
        [[reason('gauze', 'Gauze is not staged')], ['check']],
    ])('shows nothing where there is nothing, or nothing that the person may do', (reasons, may) => {
        show(<NotStaged kit={unstaged(reasons)} />, may);
        expect(screen.queryByRole('button')).toBeNull();
    });
});
