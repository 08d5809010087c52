import { render, screen } from '@testing-library/react';
import { expect, it } from 'vitest';
import { ShiftVerdicts } from './ShiftVerdicts';

const day = { shift: 'day', verdict: 'ready', scope: 'trained', now: true } as const;
const night = { shift: 'night', verdict: 'not_ready', scope: 'anyone', now: false } as const;

it('says how a kit fares in each shift, which is on, and who is there', () => {
    render(<ShiftVerdicts shifts={[day, night]} />);
    expect(screen.getAllByRole('listitem').map((one) => one.textContent)).toEqual([
        'Day shift, now: Ready (special training)',
        'Night shift: Not ready (nobody trained)',
    ]);
});

it('says nothing where all shifts fare alike: the verdict says it', () => {
    const { container } = render(<ShiftVerdicts shifts={[day, { ...night, verdict: 'ready' }]} />);
    expect(container.textContent).toBe('');
});
