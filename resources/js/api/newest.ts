let takenAt = 0;

/** Notes that the server has just recorded work from this device: answers from before may show the old status. */
export function noteRecorded(): void {
    takenAt = Date.now();
}

/**
 * Gives an answer for a screen that shows a status, or nothing where it is from before the last work that was recorded from this
 * device. The screen then waits for the new one and never shows the status from before.
 *
 * @param query its `dataUpdatedAt` is in milliseconds by this device's clock
 */
export function newest<T>(query: { data: T | undefined; dataUpdatedAt: number }): T | undefined {
    return query.dataUpdatedAt < takenAt ? undefined : query.data;
}
