import { COPY_MADE_AT } from '../api/copies';

/**
 * An answer that was kept, as it is given again later. Its Date is of the day it was read: a clock that were compared
 * with it would be put back by as long, and what is done now recorded as done then.
 */
export function asKept(kept: Response): Response {
    const headers = new Headers(kept.headers);
    const madeAt = headers.get('Date');
    headers.delete('Date');
    if (madeAt !== null && !Number.isNaN(Date.parse(madeAt))) {
        headers.set(COPY_MADE_AT, new Date(madeAt).toISOString());
    }
    return new Response(kept.body, { status: kept.status, statusText: kept.statusText, headers });
}
