import { describe, expect, it, vi } from 'vitest';
import { clockCheckedAt, measureClock, timeNow } from './clock';

describe('the time on this device', () => {
    it('is corrected by what the server said', () => {
        vi.useFakeTimers({ now: Date.parse('2026-11-27T12:00:00Z') });
        measureClock(null, Date.now());
        measureClock('not a date', Date.now());
        expect(clockCheckedAt()).toBeNull();
        expect(timeNow()).toBe('2026-11-27T12:00:00.000Z');
        // The clock here is two hours ahead.
        measureClock('Fri, 27 Nov 2026 10:00:00 GMT', Date.now());
        expect(timeNow()).toBe('2026-11-27T10:00:00.000Z');
        expect(clockCheckedAt()).toBe('2026-11-27T10:00:00.000Z');
        vi.setSystemTime(Date.parse('2026-11-27T12:30:00Z'));
        expect(timeNow()).toBe('2026-11-27T10:30:00.000Z');
        expect(clockCheckedAt()).toBe('2026-11-27T10:00:00.000Z');
        // Whole seconds are told: half a second is no difference.
        measureClock('Fri, 27 Nov 2026 12:29:59 GMT', Date.now());
        expect(timeNow()).toBe('2026-11-27T12:30:00.000Z');
        vi.useRealTimers();
    });
});
