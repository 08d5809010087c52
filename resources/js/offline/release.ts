import { db, deviceId, type Locked } from './db';
import { device, type Kept } from './device';
import { importKey, open } from './vault';
import { upgraded } from './versions';

/** What it says; undefined where it is of a newer page, or was locked by another key: it stays. */
async function opened(key: CryptoKey, locked: Locked): Promise<unknown> {
    try {
        return upgraded(locked.kind, locked.version, await open(key, locked.id, locked));
    } catch {
        return undefined;
    }
}

/**
 * Opens the signed work of somebody whose account has ended, for who may send it in their place; what they did not finish stays locked.
 *
 * @param take - what becomes of one: its id and value for who is signed in
 * @returns how many were taken
 */
export async function release(
    person: string,
    askKey: (device: string) => Promise<string>,
    take: (one: Kept) => { id: string; value: unknown },
): Promise<number> {
    const key = await importKey(await askKey(await deviceId()));
    const store = await db();
    let taken = 0;
    for (const locked of await store.getAll('locked')) {
        if (locked.person !== person || !locked.isWaiting) {
            continue;
        }
        const value = await opened(key, locked);
        const id = locked.id.startsWith(`${person}/`) ? locked.id.slice(person.length + 1) : locked.id;
        const own = value === undefined ? null : take({ id, kind: locked.kind, value });
        // What is begun here already is not written over.
        if (own && device.get(own.id) === undefined) {
            device.put(locked.kind, own.id, own.value);
            await device.settled();
            if (!device.isFailing) {
                await store.delete('locked', locked.id);
                taken++;
            }
        }
    }
    await device.readOthers();
    return taken;
}
