import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { addLine } from '../design/lines';
import type { Packing } from '../design/packing';
import { keptForm } from '../offline/useKept';
import { draft } from '../testing/packing';
import { answer } from '../testing/server';
import { show } from '../testing/show';
import { AddToDesign } from './AddToDesign';
import { withCarried } from './intoDesign';

beforeEach(() => keptForm.discard('packing.d1'));
afterEach(() => vi.unstubAllGlobals());

const row = (item: string, par: number): Schemas['CarriedItem'] => ({
    line: item,
    need: 'Plasters',
    rank: 'required',
    item,
    name: item.toUpperCase(),
    unit: 'each',
    listed: 3,
    list: 3,
    uses_known: 14,
    rate: '5.00',
    setting_rate: '9.00',
    own_share: 40,
    own_least: '3.10',
    own_most: '7.80',
    pieces_per_use: 1,
    mean: '0.4200',
    uses: 2,
    par,
    measure: null,
    from: 'uses',
    chance: '0.9910',
});
const line = (code: string, item: string | null, pieces: number) =>
    ({ code, item, pieces, added: code.startsWith('A') }) as Schemas['ForeseenLine'];
const none = { ...draft, additions: [] };

describe('what is carried, as lines of a design', () => {
    it('is of each item what is more than the design asks for already', () => {
        const lines = [line('L1', 'plaster', 3), line('L2', 'plaster', 2), line('L3', 'gauze', 9), line('L4', null, 4)];
        const { draft: after, changed } = withCarried(none, lines, [
            row('plaster', 8),
            row('gauze', 9),
            row('foil', 0),
        ]);
        expect(changed).toBe(1);
        expect(after.additions).toEqual([
            expect.objectContaining({
                code: 'A1',
                need: 'PLASTER',
                quantity: 3,
                accepts: [{ item: 'plaster', class: null, minima: [], maxima: [] }],
                reason: 'Enough for 2 uses at 5.00 in 1,000 person-days',
            }),
        ]);
    });

    it('raises a line that the design adds for that item alone, and is the same when it is added again', () => {
        const begun = addLine(none, { code: 'plaster', name: 'Plaster' }, []).draft;
        const first = withCarried(begun, [line('A1', 'plaster', 1)], [row('plaster', 8), row('foil', 2)]);
        expect(first.draft.additions.map((one) => [one.code, one.quantity])).toEqual([
            ['A1', 8],
            ['A2', 2],
        ]);
        const lines = [line('A1', 'plaster', 8), line('A2', 'foil', 2)];
        const again = withCarried(first.draft, lines, [row('plaster', 8), row('foil', 2)]);
        expect(again).toEqual({ draft: first.draft, changed: 0 });
    });
});

/** The design that is chosen, and what is foreseen of it. */
async function add(lines: Schemas['ForeseenLine'][], rows: Schemas['CarriedItem'][]) {
    const seen: unknown[] = [];
    vi.stubGlobal('fetch', async (request: Request) => {
        const { pathname } = new URL(request.url);
        if (pathname === '/api/designs') {
            return answer([{ id: 'd1', name: 'Camp bag', code: 'camp' }]);
        }
        if (pathname === '/api/designs/d1/draft') {
            const start = { design: 'd1', name: 'Camp bag', edition: 'e4', number: 4, serves: null, draft: none };
            return answer(start);
        }
        seen.push(await request.json());
        return answer({ lines, loads: [], advice: [], faults: [] });
    });
    show(<AddToDesign data={{ rows } as Schemas['CarryResource']} />);
    const person = userEvent.setup();
    await person.click(screen.getByRole('button', { name: 'Add to a design' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Add lines' }).disabled).toBe(true);
    await person.click(screen.getByRole('combobox', { name: 'Design' }));
    await person.click(await screen.findByRole('option', { name: 'Camp bag' }));
    await person.click(screen.getByRole('button', { name: 'Add lines' }));
    return seen;
}
const kept = () => keptForm.of('packing.d1') as Packing | undefined;

describe('adding to a design', () => {
    it('begins a draft of its latest edition with the lines, and publishes nothing', async () => {
        await add([], [row('plaster', 4)]);
        await waitFor(() => expect(kept()?.draft.additions).toHaveLength(1));
        expect(kept()).toMatchObject({ design: 'd1', base: 'e4', number: 4, name: 'Camp bag' });
        await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    });

    it('goes on from what was changed on this device and not published yet', async () => {
        const mine = addLine(none, { code: 'whistle', name: 'Signal whistle' }, []).draft;
        keptForm.keep('packing.d1', { design: 'd1', edition: 'x', base: 'e3', number: 3, name: 'Mine', draft: mine });
        const seen = await add([line('A1', 'whistle', 1)], [row('plaster', 4)]);
        await waitFor(() => expect(kept()?.draft.additions.map((one) => one.code)).toEqual(['A1', 'A2']));
        expect(kept()).toMatchObject({ base: 'e3', name: 'Mine' });
        expect(kept()?.edition).not.toBe('x');
        expect(seen).toEqual([{ design: 'd1', draft: mine }]);
    });

    it('says so where nothing is more than it asks for, and keeps nothing', async () => {
        await add([line('L1', 'plaster', 4)], [row('plaster', 4)]);
        expect((await screen.findByRole('alert')).textContent).toContain('already asks for that many of each item');
        expect(kept()).toBeUndefined();
    });
});
