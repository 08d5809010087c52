import { db, deviceId, type Locked, type Who } from './db';
import { upgraded, versionOf } from './versions';
import { importKey, lock, open } from './vault';

/** Work that is kept on this device until the server has it. */
export interface Kept<T = unknown> {
    id: string;
    kind: string;
    value: T;
}

/** Work of somebody else, or of another version of this page: it stays, and cannot be read here now. */
export interface Closed {
    kind: string;
    person: string;
    personName: string;
    isWaiting: boolean;
    /** Kept by a newer page than this one: loading the page again opens it. */
    isNewer: boolean;
}

type Person = { id: string; name: string };

/**
 * What this device keeps: unsent work, locked by person and device. All of the person who is signed in is held in memory, so that
 * the page reads it at once; each change is written right after it was made, one after the other.
 */
class Device {
    private kept = new Map<string, Kept>();
    private byKind = new Map<string, Kept[]>();
    private person: Person | null = null;
    private key: CryptoKey | null = null;
    private dirty = new Set<string>();
    /** Kept by an older page under a name that another person's work could have too. */
    private former = new Set<string>();
    private writing: Promise<void> = Promise.resolve();
    private readonly listeners = new Set<() => void>();
    private readonly others = new BroadcastChannel('sarcina-device');
    private closedOnes: Closed[] = [];
    private unsentOnes: { kind: string; isWaiting: boolean }[] | null = null;
    private hasFailed = false;

    constructor() {
        this.others.onmessage = (event: MessageEvent<string>) => void this.readAgain(event.data);
    }

    /** Opens what that person has here. The server is asked for the key where this device does not hold it. */
    async begin(person: Person, askKey: (device: string) => Promise<string>): Promise<void> {
        if (this.person?.id === person.id && this.key) {
            return;
        }
        const isSame = this.person?.id === person.id;
        await this.settled();
        if (!isSame) {
            this.kept.clear();
            this.dirty.clear();
            this.former.clear();
        }
        this.person = person;
        try {
            const store = await db();
            // What another one had open goes: their work stays, locked.
            for (const other of await store.getAllKeys('keys')) {
                if (other !== person.id) {
                    await store.delete('keys', other);
                }
            }
            this.key = (await store.get('keys', person.id)) ?? null;
            if (!this.key) {
                this.key = await importKey(await askKey(await deviceId()));
                await store.put('keys', this.key, person.id);
            }
            this.hasFailed = false;
            await this.readAll();
            // What was done while the session had ended is written now.
            [...this.dirty].forEach((id) => this.change(id));
        } catch {
            // The page still works, and says that nothing is kept.
            this.hasFailed = true;
        }
        this.tell();
    }

    /** The session has ended, however it did: the key and what was read go, what is not sent stays locked. */
    async end(): Promise<void> {
        await this.settled();
        this.kept.clear();
        this.person = null;
        this.key = null;
        try {
            const store = await db();
            await store.clear('keys');
            await store.delete('about', 'who');
            await this.readAll();
        } catch {
            // A store that cannot be opened holds nothing that would have to go.
        }
        this.tell();
    }

    /** The session ended while its person works: the key goes, their work stays on the page until they sign in again. */
    async expire(): Promise<void> {
        await this.settled();
        this.key = null;
        try {
            const store = await db();
            await store.clear('keys');
            await store.delete('about', 'who');
        } catch {
            // As above.
        }
    }

    /** Work of this person that the server does not have; forms that are half filled in are not meant. */
    unsent(): { kind: string; isWaiting: boolean }[] {
        this.unsentOnes ??= [...this.kept.values()]
            .filter((one) => one.kind !== 'form' && one.kind !== 'sent')
            .map((one) => ({ kind: one.kind, isWaiting: (one.value as { isWaiting?: boolean }).isWaiting === true }));
        return this.unsentOnes;
    }

    /** Whether what is typed would be lost with this page. */
    get isFailing(): boolean {
        return this.hasFailed;
    }

    get(id: string): unknown {
        return this.kept.get(id)?.value;
    }

    /** The same list until something changes. */
    all<T>(kind: string): Kept<T>[] {
        let some = this.byKind.get(kind);
        if (!some) {
            some = [...this.kept.values()].filter((one) => one.kind === kind);
            this.byKind.set(kind, some);
        }
        return some as Kept<T>[];
    }

    closed(): Closed[] {
        return this.closedOnes;
    }

    put(kind: string, id: string, value: unknown): void {
        this.kept.set(id, { id, kind, value });
        this.change(id);
    }

    remove(id: string): void {
        this.kept.delete(id);
        this.change(id);
    }

    /** When all that was changed until now is written. */
    settled(): Promise<void> {
        return this.writing;
    }

    get isSaving(): boolean {
        return this.dirty.size > 0;
    }

    subscribe = (listener: () => void): (() => void) => {
        this.listeners.add(listener);
        return () => this.listeners.delete(listener);
    };

    async keepWho(who: Who): Promise<void> {
        await (await db()).put('about', who, 'who').catch(() => undefined);
    }

    async who(): Promise<Who | null> {
        try {
            const who = await (await db()).get('about', 'who');
            return typeof who === 'object' ? who : null;
        } catch {
            return null;
        }
    }

    /** Reads anew what others have here. */
    async readOthers(): Promise<void> {
        await this.readAll();
        this.tell();
    }

    private change(id: string): void {
        this.dirty.add(id);
        this.tell();
        this.writing = this.writing.then(() => this.write(id));
    }

    private async write(id: string): Promise<void> {
        // A later change of the same writes what this one would have.
        if (!this.dirty.has(id) || !this.person || !this.key) {
            return;
        }
        this.dirty.delete(id);
        const now = this.kept.get(id);
        try {
            if (now) {
                const locked = await lock(this.key, this.name(id), now.value);
                await (await db()).put('locked', this.about(now, locked));
            } else {
                await (await db()).delete('locked', this.name(id));
            }
            if (this.former.delete(id)) {
                await (await db()).delete('locked', id);
            }
            this.others.postMessage(this.name(id));
            this.hasFailed = false;
        } catch {
            this.hasFailed = true;
        }
        if (this.dirty.size === 0) {
            this.tell();
        }
    }

    /** Two people may work on the same kit at one device: each one's work has a name of its own. */
    private name(id: string): string {
        return `${this.person?.id ?? ''}/${id}`;
    }

    private about(one: Kept, locked: Pick<Locked, 'iv' | 'body'>): Locked {
        const waiting = (one.value as { isWaiting?: boolean } | null)?.isWaiting;
        return {
            id: this.name(one.id),
            kind: one.kind,
            person: this.person?.id ?? '',
            personName: this.person?.name ?? '',
            isWaiting: waiting === true,
            version: versionOf(one.kind),
            savedAt: new Date().toISOString(),
            ...locked,
        };
    }

    private async readAll(): Promise<void> {
        this.closedOnes = [];
        for (const locked of await (await db()).getAll('locked')) {
            // What the server took already is nobody's to send.
            if (!(await this.read(locked)) && locked.kind !== 'sent') {
                const isNewer = locked.person === this.person?.id && locked.version > versionOf(locked.kind);
                this.closedOnes.push({ ...locked, isNewer });
            }
        }
    }

    private async read(locked: Locked): Promise<boolean> {
        if (!this.key || locked.person !== this.person?.id) {
            return false;
        }
        const own = this.name('');
        const isFormer = !locked.id.startsWith(own);
        const id = isFormer ? locked.id : locked.id.slice(own.length);
        if (this.dirty.has(id)) {
            return true;
        }
        if (isFormer) {
            this.former.add(id);
        }
        if (isFormer && (await (await db()).getKey('locked', this.name(id))) !== undefined) {
            return true;
        }
        try {
            const value = upgraded(locked.kind, locked.version, await open(this.key, locked.id, locked));
            if (value === undefined) {
                return false;
            }
            this.kept.set(id, { id, kind: locked.kind, value });
            return true;
        } catch {
            return false;
        }
    }

    /** Another tab changed it. What is being changed here too is written here last. */
    private async readAgain(name: string): Promise<void> {
        const id = name.slice(this.name('').length);
        if (!name.startsWith(this.name('')) || this.dirty.has(id)) {
            return;
        }
        const locked = await (await db()).get('locked', name);
        if (!locked) {
            this.kept.delete(id);
        } else {
            await this.read(locked);
        }
        this.tell();
    }

    private tell(): void {
        this.byKind.clear();
        this.unsentOnes = null;
        // For whoever waits until it is safe to leave the page.
        document.documentElement.toggleAttribute('data-saving', this.dirty.size > 0);
        this.listeners.forEach((listener) => listener());
    }
}

export const device = new Device();
