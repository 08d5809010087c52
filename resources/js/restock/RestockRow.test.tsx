import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { begun } from '../testing/restock';
import { show } from '../testing/show';
import { piecesOf } from './draft';
import { HeldBack } from './Missing';
import { RestockRow } from './RestockRow';
import type { Step } from './steps';

describe('what is held back', () => {
    it('says why, whose it is and until when', () => {
        const stay = { pocket_id: 'front', name: 'Medium dressing', lot: 'A1', quantity: 1, because: 'expires_early' };
        const draft = {
            ...begun(),
            stays: [{ ...stay, owner: 'Mina Oduya', by: '2027-01-31' }],
            notAdvised: [
                { need: 'Gauze', name: 'Gauze roll', lot: null, quantity: 2, because: 'no_companion' as const },
            ],
        };
        show(<HeldBack draft={draft} />);
        expect(screen.getByText(/1 × Medium dressing.*Mina Oduya replaces it by 31 Jan 2027/)).toBeTruthy();
        expect(screen.getByText(/2 × Gauze roll: its required companion item is not in the store/)).toBeTruthy();
    });
});

describe('a step', () => {
    const step = (quantity: string): Step => ({ ...begun().steps[0], quantity }) as Step;

    it.each([
        ['2', 2],
        ['-2', null],
        ['1.5', null],
        ['', null],
        ['two', null],
    ])('of %j pieces is of %j', (typed, pieces) => expect(piecesOf(step(typed))).toBe(pieces));

    it('says what is wrong with its pieces, and keeps what was typed', async () => {
        const onChange = vi.fn();
        show(
            <RestockRow
                step={step('1.5')}
                error={undefined}
                waits={[]}
                onChange={onChange}
                onFocus={() => undefined}
            />,
        );
        expect(screen.getByText('A whole number of pieces.')).toBeTruthy();
        await userEvent.type(screen.getByRole('textbox'), '9');
        expect(onChange).toHaveBeenLastCalledWith({ quantity: '9' });
    });

    it('that still counts cannot be ticked, and says after what', async () => {
        const [put, take] = begun().steps as [Step, Step];
        const onChange = vi.fn();
        show(<RestockRow step={take} error={undefined} waits={[put]} onChange={onChange} onFocus={() => undefined} />);
        expect(screen.getByRole<HTMLInputElement>('checkbox').disabled).toBe(true);
        await userEvent.click(screen.getByText('Still counts: only after lot B2 of Medium dressing is in.'));
        expect(onChange).not.toHaveBeenCalled();
    });

    it('asks about more than the list says', () => {
        show(
            <RestockRow
                step={step('20')}
                error={undefined}
                waits={[]}
                onChange={() => undefined}
                onFocus={() => undefined}
            />,
        );
        expect(screen.getByText('The list says 2. Is it so many?')).toBeTruthy();
    });
});
