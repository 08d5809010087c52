import { newId } from '../api/newId';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';

/** Work that the server does not have, locked: what it is about can be read by its person alone. */
export interface Locked {
    id: string;
    kind: string;
    person: string;
    /** Said to others, so that they know who has to sign in here. */
    personName: string;
    isWaiting: boolean;
    version: number;
    savedAt: string;
    iv: Uint8Array<ArrayBuffer>;
    body: ArrayBuffer;
}

/** Who was signed in last, so that a reload without a network knows it. No secret of the session is in it. */
export interface Who {
    user: { id: string; name: string; email: string; role: string; may: string[] };
    organisation: string;
    timeZone: string;
}

interface DeviceDb extends DBSchema {
    locked: { key: string; value: Locked };
    /** Keys that cannot be read out, by person. They go when the session ends. */
    keys: { key: string; value: CryptoKey };
    about: { key: 'device' | 'who'; value: string | Who };
}

const VERSION = 1;

let opened: Promise<IDBPDatabase<DeviceDb>> | null = null;

export function db(): Promise<IDBPDatabase<DeviceDb>> {
    opened ??= openDB<DeviceDb>('sarcina', VERSION, {
        upgrade(made) {
            made.createObjectStore('locked', { keyPath: 'id' });
            made.createObjectStore('keys');
            made.createObjectStore('about');
        },
        // Another tab waits to bring the store up to date: this one lets go, and opens it anew when it is used.
        blocking() {
            void opened?.then((one) => one.close());
            opened = null;
        },
        terminated() {
            opened = null;
        },
    });
    return opened;
}

/** By which this device is known to the server, made here once. */
export async function deviceId(): Promise<string> {
    const store = await db();
    const known = await store.get('about', 'device');
    if (typeof known === 'string') {
        return known;
    }
    const made = newId();
    await store.put('about', made, 'device');
    return made;
}
