import { ulid } from 'ulid';

/** An id for something that is made here: sent twice, it is recorded once. Small letters, as the server writes ids. */
export function newId(): string {
    return ulid().toLowerCase();
}
