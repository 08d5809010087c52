import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { keepToday } from '../api/today';
import { draftRow, kit, line, sealedModule, user } from '../testing/samples';
import { show } from '../testing/show';
import { begin, type Draft } from './draft';
import { answeredLines } from './looked';
import { PocketLines } from './PocketLines';

let now: Draft;

const bag = kit({
    leaves: [
        {
            name: 'Left',
            pockets: [
                { id: 'front', name: 'Front' },
                { id: 'back', name: 'Back' },
            ],
        },
    ] as never,
});
const lines = [
    { ...line('L1', 'front'), rank: 'critical', required: '4', elsewhere: 0, caution: 'Not for eyes.' },
    { ...line('L2', 'back'), rank: 'required', required: '6', elsewhere: 0 },
    {
        ...line('L3', 'back'),
        rank: 'optional',
        required: '1',
        elsewhere: 0,
        told_from: 'Not “Glue”: look for its cap.',
    },
] as never;

interface PocketProps {
    pocket: string;
    begun?: Draft;
    onWhole?: (() => void) | null;
    onNext?: () => void;
}

function Pocket({ pocket, begun = begin(bag, user, 'full'), onWhole = null, onNext = () => undefined }: PocketProps) {
    const [draft, setDraft] = useState<Draft>(begun);
    useEffect(() => {
        now = draft;
    }, [draft]);
    return (
        <PocketLines
            kit={bag}
            draft={draft}
            pocket={pocket}
            lines={lines}
            change={(to) => setDraft((was) => to(was))}
            onWhole={onWhole}
            onNext={onNext}
        />
    );
}

describe('the lines of a pocket', () => {
    beforeEach(() => keepToday('2026-11-27'));

    it('say what is asked for, what it may harm and what it is easily taken for', () => {
        show(<Pocket pocket="front" />);
        const first = within(screen.getByRole('group', { name: 'Need of L1' }));
        expect(first.getByText('the list asks for', { exact: false }).textContent).toContain('4');
        expect(first.getByText('critical')).toBeTruthy();
        expect(first.getByText('Not for eyes.', { exact: false })).toBeTruthy();
        expect(first.getAllByRole('textbox', { name: /^Count of/ })).toHaveLength(2);
        expect(screen.queryByRole('group', { name: 'Need of L2' })).toBeNull();
    });

    it('of which nothing is recorded are looked at once somebody says that none is there', async () => {
        show(<Pocket pocket="back" />);
        const third = within(screen.getByRole('group', { name: 'Need of L3' }));
        expect(third.getByText(/look for its cap/)).toBeTruthy();
        expect(answeredLines(now)).toEqual([]);
        await userEvent.click(third.getByRole('button', { name: 'None there' }));
        expect(answeredLines(now)).toEqual(['L3']);
        const said = third.getByRole('button', { name: '✓ None there' });
        expect(said.getAttribute('aria-pressed')).toBe('true');
        // Enter says it too and takes nothing back: whoever goes down the pocket by Enter has looked.
        said.focus();
        await userEvent.keyboard('{Enter}');
        expect(answeredLines(now)).toEqual(['L3']);
        await userEvent.click(said);
        expect(answeredLines(now)).toEqual([]);
    });

    it('have what lies there besides below them, to be counted too', () => {
        const begun = begin(bag, user, 'full');
        show(
            <Pocket
                pocket="front"
                begun={{
                    ...begun,
                    rows: [...begun.rows, draftRow({ key: 'tape', line: null, item: 'tape', name: 'Tape' })],
                }}
            />,
        );
        const besides = within(screen.getByRole('group', { name: 'Also here' }));
        expect(besides.getByRole('textbox', { name: /^Count of Tape/ })).toBeTruthy();
    });

    it('are not shown of a module that is closed: its seal is read, or it is opened with a reason', async () => {
        const begun = begin(kit({ modules: [sealedModule()], leaves: bag.leaves }), user, 'full');
        const onNext = vi.fn();
        show(<Pocket pocket="roll.in" begun={begun} onNext={onNext} />);
        expect(screen.queryByRole('textbox', { name: /^Count of/ })).toBeNull();
        const leave = screen.getByRole<HTMLButtonElement>('button', { name: 'The seal is whole, leave it closed' });
        expect(leave.disabled).toBe(true);
        await userEvent.type(screen.getByLabelText(/^Number on the seal of .*Eye roll/), 'EY-1499');
        await userEvent.click(leave);
        expect(onNext).toHaveBeenCalledTimes(1);
        expect(now.modules.map((one) => [one.code, one.state, one.sealFound])).toEqual([
            ['QH-M1', 'closed', 'EY-1499'],
        ]);
    });

    it('go on with the whole pocket or the next one at the desk; in hand both are at the thumb', async () => {
        const [onWhole, onNext] = [vi.fn(), vi.fn()];
        show(<Pocket pocket="front" onWhole={onWhole} onNext={onNext} />);
        await userEvent.click(screen.getByRole('button', { name: 'Whole pocket as recorded' }));
        await userEvent.click(screen.getByRole('button', { name: 'Next pocket' }));
        expect([onWhole, onNext].map((one) => one.mock.calls.length)).toEqual([1, 1]);
        show(<Pocket pocket="back" />);
        expect(screen.getAllByRole('button', { name: 'Next pocket' })).toHaveLength(1);
    });
});
