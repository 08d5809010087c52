import { expect, it } from 'vitest';
import { clockCheckedAt, measureClock } from '../api/clock';
import { asKept } from './asKept';

it('gives what was kept without its date, so that no clock is compared with it', async () => {
    const kept = new Response('{"code":"QH-04"}', {
        status: 200,
        headers: { 'Content-Type': 'application/json', Date: 'Fri, 27 Nov 2026 10:00:00 GMT' },
    });
    const given = asKept(kept);
    expect(given.headers.get('Date')).toBeNull();
    expect(given.headers.get('Content-Type')).toBe('application/json');
    expect(await given.json()).toEqual({ code: 'QH-04' });
    measureClock(given.headers.get('Date'), Date.now());
    expect(clockCheckedAt()).toBeNull();
});
