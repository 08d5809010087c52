/** What a page without a worker says to the one that is there. */
export const TAKE_OVER = 'take over';
