/**
 * How far this device's clock is from the server's, measured with every answer: what is done here is recorded with the
 * time that it really was.
 */
let ahead = 0;
let measuredAt: number | null = null;

/** Of an answer's Date header. It tells whole seconds, so a smaller difference is none. */
export function measureClock(date: string | null, now: number): void {
    const server = date === null ? Number.NaN : Date.parse(date);
    if (!Number.isNaN(server)) {
        ahead = Math.abs(now - server) < 2_000 ? 0 : now - server;
        measuredAt = now;
    }
}

/** The time now, corrected. */
export function timeNow(): string {
    return new Date(Date.now() - ahead).toISOString();
}

/** When the clock was last compared, corrected; null where it never was since the page was opened. */
export function clockCheckedAt(): string | null {
    return measuredAt === null ? null : new Date(measuredAt - ahead).toISOString();
}
