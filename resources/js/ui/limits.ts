/**
 * The one file of the page that compares dates and quantities. The server decides what counts. Here the page only says whether a printed
 * date is past, whether a figure that somebody types is far from the record, and whether a copy on this device is too old.
 */
const DAY_MS = 24 * 60 * 60 * 1000;

/** Says whether a copy is older than a day, by this device's clock as it was compared with the server's last. */
export function isOlderThanADay(madeAt: string, now: string): boolean {
    return Date.parse(now) - Date.parse(madeAt) > DAY_MS;
}

/** Says whether a last good day is over: both are written YYYY-MM-DD. */
export function isPast(lastDay: string | null, today: string): boolean {
    return lastDay !== null && lastDay < today;
}

/** Says whether a figure is above a limit; without a limit it never is. */
export function exceeds(figure: number, limit: number | null): boolean {
    return limit !== null && figure > limit;
}

/** So many more than recorded that it is rather a slip of the finger. */
const FAR_TIMES = 4;
const FAR_MORE = 20;

/** Says whether a count that is typed is so far above the record that it is asked about. */
export function isFarAbove(count: number, recorded: number): boolean {
    return count > Math.max(recorded * FAR_TIMES, recorded + FAR_MORE);
}
