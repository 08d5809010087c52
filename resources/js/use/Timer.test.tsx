import { act, fireEvent, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { show } from '../testing/show';
import { Timer } from './Timer';

beforeEach(() => vi.useFakeTimers({ now: new Date('2026-11-28T10:00:00Z') }));
afterEach(() => vi.useRealTimers());

describe('what must be started before it works', () => {
    it('is started with a press', () => {
        const onStart = vi.fn();
        show(<Timer minutes={5} startedAt={undefined} onStart={onStart} />);
        expect(screen.getByText(/Must be started 5 minutes before it works/)).toBeTruthy();
        fireEvent.click(screen.getByRole('button', { name: 'Started now' }));
        expect(onStart).toHaveBeenCalledOnce();
    });

    it('counts down, and says when it works', () => {
        show(<Timer minutes={5} startedAt="2026-11-28T09:57:00Z" onStart={() => undefined} />);
        expect(screen.getByRole('timer').textContent).toBe('2:00 until it works');
        act(() => {
            vi.advanceTimersByTime(61_000);
        });
        expect(screen.getByRole('timer').textContent).toBe('0:59 until it works');
        act(() => {
            vi.advanceTimersByTime(60_000);
        });
        expect(screen.getByRole('timer').textContent).toBe('It works now.');
    });
});
