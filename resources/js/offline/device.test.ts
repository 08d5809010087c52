import { describe, expect, it, vi } from 'vitest';
import { user } from '../testing/samples';
import { db } from './db';
import { device } from './device';
import { release } from './release';
import { importKey, lock, open } from './vault';
import { takeOver } from './former';
import { upgraded, versionOf } from './versions';

const me = { id: user.id, name: user.name };
const other = { id: '8', name: 'Pat Renn' };
const keyOf = (letter: string) => () => Promise.resolve(btoa(letter.repeat(32)));

/** The page is closed and opened again: only what lies in the store is left. */
async function reopen(person = me, letter = 'k') {
    await device.begin(other, keyOf('o'));
    await device.begin(person, keyOf(letter));
}

describe('what this device keeps', () => {
    it('is there again after the page was closed', async () => {
        device.put('check', 'check:7:QH-01', { kit: 'QH-01', note: 'Zip is stiff', modules: [] });
        await device.settled();
        await reopen();
        expect(device.get('check:7:QH-01')).toEqual({ kit: 'QH-01', note: 'Zip is stiff', modules: [] });
    });

    it('keeps the last of many changes, and nothing of what was removed', async () => {
        for (let count = 1; count <= 40; count++) {
            device.put('form', 'form:count', { count });
        }
        device.put('form', 'form:gone', { count: 1 });
        device.remove('form:gone');
        await device.settled();
        await reopen();
        expect(device.get('form:count')).toEqual({ count: 40 });
        expect(device.get('form:gone')).toBeUndefined();
    });

    it('lies there locked: what it says is nowhere in the store', async () => {
        device.put('form', 'form:secret', { note: 'Only for me' });
        await device.settled();
        const kept = await (await db()).get('locked', `${me.id}/form:secret`);
        expect(kept).toMatchObject({ kind: 'form', person: me.id, personName: me.name });
        expect(new TextDecoder().decode(kept?.body)).not.toContain('Only for me');
        expect(JSON.stringify(kept)).not.toContain('Only for me');
    });

    it('of somebody else is said to be there, and cannot be read or removed by the next', async () => {
        device.put('check', 'check:7:QH-02', { isWaiting: true });
        await device.settled();
        await device.begin(other, keyOf('o'));
        expect(device.all('check')).toEqual([]);
        expect(device.closed()).toMatchObject([{ kind: 'check', personName: me.name, isWaiting: true }]);
        expect(await (await db()).getAllKeys('keys')).toEqual([other.id]);
        await device.begin(me, keyOf('k'));
        expect(device.get('check:7:QH-02')).toMatchObject({ isWaiting: true });
    });

    it('of two people on the same kit is kept for each, and neither is written over', async () => {
        device.put('restock', 'restock:QH-02', { of: 'me' });
        await device.settled();
        await device.begin(other, keyOf('o'));
        device.put('restock', 'restock:QH-02', { of: 'other' });
        await device.settled();
        await device.begin(me, keyOf('k'));
        expect(device.get('restock:QH-02')).toEqual({ of: 'me' });
        device.remove('restock:QH-02');
        await device.settled();
        await device.begin(other, keyOf('o'));
        expect(device.get('restock:QH-02')).toEqual({ of: 'other' });
        device.remove('restock:QH-02');
        await device.begin(me, keyOf('k'));
    });

    it('that an older page kept is opened, and kept under its own name from the first change on', async () => {
        const key = await importKey(await keyOf('k')());
        const locked = await lock(key, 'restock:QH-09', { steps: 1 });
        await (
            await db()
        ).put('locked', {
            id: 'restock:QH-09',
            kind: 'restock',
            person: me.id,
            personName: me.name,
            isWaiting: false,
            version: versionOf('restock'),
            savedAt: '',
            ...locked,
        });
        await reopen();
        expect(device.get('restock:QH-09')).toEqual({ steps: 1 });
        device.put('restock', 'restock:QH-09', { steps: 2 });
        await device.settled();
        expect(await (await db()).get('locked', 'restock:QH-09')).toBeUndefined();
        await reopen();
        expect(device.get('restock:QH-09')).toEqual({ steps: 2 });
    });

    it('of somebody whose account has ended is taken over where it is signed, and the rest stays locked', async () => {
        device.put('restock', 'restock:QH-04', { isWaiting: true, doneAt: '2026-11-20T10:00:00Z' });
        device.put('restock', 'restock:QH-05', { isWaiting: false });
        await device.settled();
        await device.begin(other, keyOf('o'));
        expect(await release(me.id, keyOf('x'), (one) => ({ id: one.id, value: one.value }))).toBe(0);
        const asked = vi.fn(keyOf('k'));
        expect(await release(me.id, asked, (one) => ({ id: one.id, value: one.value }))).toBe(1);
        expect(device.get('restock:QH-04')).toEqual({ isWaiting: true, doneAt: '2026-11-20T10:00:00Z' });
        expect(device.closed()).toMatchObject([{ person: me.id, isWaiting: false }]);
        await device.begin(me, keyOf('k'));
        expect(device.get('restock:QH-04')).toBeUndefined();
        expect(device.get('restock:QH-05')).toEqual({ isWaiting: false });
        await device.begin(other, keyOf('o'));
        device.remove('restock:QH-04');
        await device.begin(me, keyOf('k'));
    });

    it('stays locked after signing out, and the key is gone', async () => {
        device.put('check', 'check:7:QH-03', { isWaiting: false });
        await device.end();
        expect(await (await db()).getAllKeys('keys')).toEqual([]);
        expect(device.get('check:7:QH-03')).toBeUndefined();
        expect(device.closed()).toHaveLength(1);
        await device.begin(me, keyOf('k'));
        expect(device.get('check:7:QH-03')).toBeDefined();
    });

    it('stays on the page when the session ends, and what is typed then is written after signing in again', async () => {
        device.put('form', 'form:a', 1);
        await device.expire();
        expect(await (await db()).getAllKeys('keys')).toEqual([]);
        device.put('form', 'form:a', 2);
        await device.settled();
        expect(device.get('form:a')).toBe(2);
        await device.begin(me, keyOf('k'));
        await device.settled();
        await reopen();
        expect(device.get('form:a')).toBe(2);
    });

    it('needs no server where the key is still here', async () => {
        const ask = vi.fn(keyOf('k'));
        await device.begin(me, ask);
        expect(ask).not.toHaveBeenCalled();
    });

    it('that another key locked is not opened, and not lost', async () => {
        device.put('form', 'form:old', 1);
        await device.settled();
        await reopen(me, 'x');
        expect(device.get('form:old')).toBeUndefined();
        expect(device.closed()).toHaveLength(1);
        await reopen();
        expect(device.get('form:old')).toBe(1);
    });
});

describe('the vault', () => {
    it('opens only what it locked, under the name that it was locked under', async () => {
        const key = await importKey(btoa('k'.repeat(32)));
        const locked = await lock(key, 'one', { a: 1 });
        expect(await open(key, 'one', locked)).toEqual({ a: 1 });
        await expect(open(key, 'two', locked)).rejects.toThrow();
        await expect(open(await importKey(btoa('x'.repeat(32))), 'one', locked)).rejects.toThrow();
        await expect(crypto.subtle.exportKey('raw', key)).rejects.toThrow();
    });
});

describe('work of another version of the page', () => {
    it('is brought up to date, or left closed where it is newer', () => {
        expect(upgraded('check', 1, { kit: 'QH-01' })).toEqual({
            kit: 'QH-01',
            modules: [],
            rows: [],
            signedBecause: '',
        });
        const row = { lot: 'A1', expires: null, added: false, newLot: false };
        expect(upgraded('check', 2, { rows: [row] })).toEqual({
            modules: [],
            signedBecause: '',
            rows: [
                {
                    ...row,
                    origin: { lot: 'A1', expires: null },
                    known: null,
                    sure: null,
                    openedOn: null,
                    openedLifeDays: null,
                },
            ],
        });
        const closed = { code: 'QH-M1', seal: 'EY-1', state: 'closed', sealSet: '' };
        expect(upgraded('check', 4, { modules: [closed] })).toEqual({
            signedBecause: '',
            modules: [{ code: 'QH-M1', isSealed: true, state: 'unsaid', sealFound: '', sealSet: '' }],
        });
        expect(upgraded('check', versionOf('check'), { kit: 'QH-01', modules: [1] })).toEqual({
            kit: 'QH-01',
            modules: [1],
        });
        expect(upgraded('check', versionOf('check') + 1, {})).toBeUndefined();
        const steps = [
            { key: 'out 0', way: 'out', isDone: false, row: { item: 'pad' } },
            { key: 'in 0', way: 'in', isDone: false, row: { item: 'pad' } },
        ];
        expect(upgraded('restock', 1, { steps })).toEqual({
            stays: [],
            notAdvised: [],
            round: null,
            steps: [
                { key: 'in 0', way: 'in', isDone: false, row: { item: 'pad', step: 1 } },
                { key: 'out 0', way: 'out', isDone: false, row: { item: 'pad', step: 2, after: [1] } },
            ],
        });
    });

    it('that lay in the open is taken over by its person alone', () => {
        localStorage.setItem('sarcina.check.7.QH-05', JSON.stringify({ kit: 'QH-05', user: '7' }));
        localStorage.setItem('sarcina.check.8.QH-06', JSON.stringify({ kit: 'QH-06', user: '8' }));
        localStorage.setItem('sarcina.form.list.1.2', JSON.stringify({ title: 'Half' }));
        takeOver('7');
        expect(device.get('check:7:QH-05')).toEqual({
            kit: 'QH-05',
            user: '7',
            modules: [],
            rows: [],
            signedBecause: '',
        });
        expect(device.get('form:list.1.2')).toEqual({ title: 'Half' });
        expect(localStorage.getItem('sarcina.check.7.QH-05')).toBeNull();
        expect(localStorage.getItem('sarcina.check.8.QH-06')).not.toBeNull();
    });
});
