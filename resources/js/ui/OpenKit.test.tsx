import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { line, pocket } from '../testing/samples';
import { show } from '../testing/show';
import { OpenKit, Stitch, StitchKey } from './OpenKit';

const states = ['met', 'early', 'reserve', 'short', 'none'] as const;
const leaves = [
    { name: 'Left', pockets: [pocket('front', 'Front', 1)] },
    { name: 'Right', pockets: [pocket('back', 'Back', 1)] },
] as Schemas['LeafResource'][];
const of = (code: string, where: string, state: (typeof states)[number]) =>
    ({ ...line(code, where), need: `Need ${code}`, state, item_class: null }) as Schemas['LineResource'];

describe('the kit, opened flat', () => {
    it('says of each pocket to who listens what its picture shows', () => {
        const lines = [
            of('L1', 'front', 'met'),
            of('L2', 'front', 'short'),
            of('L3', 'front', 'early'),
            of('L4', 'back', 'met'),
        ];
        show(<OpenKit leaves={leaves} lines={lines} selected="front" onSelect={() => undefined} />);
        const [front, back] = screen.getAllByRole('button');
        expect(front?.getAttribute('aria-label')).toBe(
            'Front, Left: 3 lines, Need L2: short, Need L3: expires before the next check',
        );
        expect(back?.getAttribute('aria-label')).toBe('Back, Right: 1 line');
        expect([front, back].map((one) => one?.getAttribute('aria-pressed'))).toEqual(['true', 'false']);
    });

    it('says nothing of a line that nobody has looked at in this check', () => {
        const lines = [of('L1', 'front', 'none'), of('L2', 'front', 'met')];
        show(
            <OpenKit leaves={leaves} lines={lines} onSelect={() => undefined} isLooked={(one) => one.code === 'L2'} />,
        );
        const label = screen.getAllByRole('button')[0]?.getAttribute('aria-label') ?? '';
        expect(label).not.toContain('Need L1');
        expect(label).toContain('1 not');
    });

    it('is chosen by a press, and says what is noted of a pocket', async () => {
        const onSelect = vi.fn();
        show(<OpenKit leaves={leaves} lines={[]} onSelect={onSelect} note={(id) => `0 of 2 in ${id}`} />);
        await userEvent.click(screen.getByRole('button', { name: /^Back 0 of 2 in back, Right/ }));
        expect(onSelect).toHaveBeenCalledExactlyOnceWith('back');
    });

    it('draws a line that is split in each pocket that it lives in', () => {
        const split = {
            ...of('L1', 'front', 'short'),
            shares: [
                { pocket_id: 'front', quantity: 1 },
                { pocket_id: 'back', quantity: 2 },
            ],
        };
        show(<OpenKit leaves={leaves} lines={[split]} onSelect={() => undefined} />);
        expect(screen.getAllByRole('button', { name: /Need L1: short/ })).toHaveLength(2);
    });

    it('tells states by shape, not by colour alone', () => {
        const shapes = [null, ...states].map((state) => {
            show(<Stitch state={state} />);
            const drawn = document.querySelector('svg')?.innerHTML;
            document.body.innerHTML = '';
            return drawn;
        });
        expect(new Set(shapes).size).toBe(6);
        show(<StitchKey />);
        for (const word of [
            'met',
            'short',
            'none there',
            'expires before the next check',
            'met only by expired stock kept as reserve',
        ]) {
            expect(screen.getByText(word)).toBeTruthy();
        }
    });
});
