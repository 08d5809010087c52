import { screen, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { content, kit, line, pocket } from '../testing/samples';
import { show } from '../testing/show';
import { PocketContents } from './PocketContents';

const of = (code: string, where: string, to: Partial<Schemas['LineResource']> = {}): Schemas['LineResource'] => ({
    ...line(code, where),
    rank: 'required',
    item: 'dressing-medium',
    item_name: 'Medium dressing',
    item_class: 'dressing',
    required: '4',
    effective: '3',
    state: 'short',
    elsewhere: 0,
    purpose: 'Covers a wound',
    caution: null,
    reason: null,
    ...to,
});

/** What the pocket at the front says, of these lines and pieces. */
function open(
    lines: Schemas['LineResource'][],
    contents: Schemas['ContentResource'][],
    to: Partial<Schemas['PocketResource']> = {},
) {
    show(
        <PocketContents
            kit={kit({
                leaves: [
                    { name: 'Main', pockets: [{ ...pocket('front', 'Front', 1), ...to }, pocket('back', 'Back', 2)] },
                ],
                verdict: { lines } as Schemas['KitResource']['verdict'],
                contents,
                planned: [],
            })}
            pocket="front"
        />,
    );
}
const under = (heading: string) => screen.getByRole('heading', { name: heading }).parentElement as HTMLElement;

describe('what is in a pocket', () => {
    it('is said line by line: how many of how many, each lot with its date and its condition', () => {
        open(
            [of('L1', 'front', { rank: 'critical', caution: 'Not on burns.' })],
            [
                content({ quantity: 3, lot: 'A1', good_until: '2028-03-31' }),
                content({ quantity: 1, lot: null, good_until: null, dated: false, condition: 'damaged' }),
            ],
        );
        expect(screen.getByRole('heading', { name: 'Main, Front' })).toBeTruthy();
        expect(screen.getByText('3 of 4')).toBeTruthy();
        expect(screen.getByText('critical')).toBeTruthy();
        expect(screen.getByText('Not on burns.')).toBeTruthy();
        const [first, second] = screen.getAllByRole('listitem');
        expect(first?.textContent).toBe('3 ×lot A1expires 31 Mar 2028');
        expect(second?.textContent).toMatch(/^1 ×no lot.*undated.*damaged$/);
    });

    it('names what is on no line, with its caution', () => {
        open([], [content({ line: null, name: 'Needle', caution: 'Sharp.', quantity: 1, good_until: null })]);
        expect(screen.getByText('Needle')).toBeTruthy();
        expect(screen.getByText('Sharp.')).toBeTruthy();
        expect(within(under('Also here, not on a line of this pocket')).getByRole('listitem').textContent).toContain(
            'Needle',
        );
    });

    it('says so where nothing is planned for it and nothing lies in it', () => {
        open([of('L2', 'back')], [content({ pocket_id: 'back', line: 'L2' })]);
        expect(screen.getByText(/^No line is planned for/)).toBeTruthy();
    });

    it('says where that lives which people look for here', () => {
        open([], [], { looked_for: [{ need: 'Scissors', lives: 'Main, Back' }] as never, caution: 'Sharps.' });
        expect(screen.getByText(/Scissors.*Main, Back/)).toBeTruthy();
        expect(screen.getByText('Sharps.')).toBeTruthy();
    });
});
