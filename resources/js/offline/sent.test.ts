import { afterEach, describe, expect, it, vi } from 'vitest';
import { user } from '../testing/samples';
import { device } from './device';
import { sendWaiting, type Outgoing, type Sender } from './outbox';
import { keepRecord, SENT, sendAgain } from './sent';

const signed = (doneAt: string): Outgoing & { note: string } => ({
    isWaiting: true,
    doneAt,
    errors: {},
    trouble: null,
    note: `at ${doneAt}`,
});

function server(isOperation = true): { sender: Sender<never>; got: string[] } {
    const got: string[] = [];
    const send = (value: Outgoing & { note: string }) => {
        got.push(value.note);
        return Promise.resolve('/there');
    };
    return { sender: { kind: 'restock', isOperation, send }, got };
}

const again = async (person: { id: string; name: string }) => {
    await device.begin({ id: '8', name: 'Pat Renn' }, () => Promise.resolve(btoa('o'.repeat(32))));
    await device.begin(person, () => Promise.resolve(btoa('k'.repeat(32))));
};

afterEach(async () => {
    vi.useRealTimers();
    device.all(SENT).forEach(({ id }) => device.remove(id));
    device.all('restock').forEach(({ id }) => device.remove(id));
    await device.settled();
});

describe('what the server took', () => {
    it('is sent again, once and in its order, where its record was restored from an older backup', async () => {
        await again(user);
        keepRecord('');
        const { sender, got } = server();
        device.put('restock', 'restock:QH-02', signed('2026-11-28T09:00:00Z'));
        await sendWaiting([sender]);
        // Another one of the same kit, later.
        device.put('restock', 'restock:QH-02', signed('2026-11-28T10:00:00Z'));
        await sendWaiting([sender]);
        expect(device.unsent()).toEqual([]);
        expect(sendAgain()).toBe(0);
        await device.settled();
        await again(user);
        keepRecord('01restore');
        while (sendAgain() > 0) {
            await sendWaiting([sender]);
        }
        expect(got).toEqual([
            'at 2026-11-28T09:00:00Z',
            'at 2026-11-28T10:00:00Z',
            'at 2026-11-28T09:00:00Z',
            'at 2026-11-28T10:00:00Z',
        ]);
        expect(sendAgain()).toBe(0);
        keepRecord('02restore');
        expect(sendAgain()).toBe(1);
    });

    it('waits until what is being done of the same kit is sent', async () => {
        keepRecord('');
        const { sender, got } = server();
        device.put('restock', 'restock:QH-02', signed('2026-11-28T09:00:00Z'));
        await sendWaiting([sender]);
        device.put('restock', 'restock:QH-02', { ...signed('2026-11-28T11:00:00Z'), isWaiting: false });
        keepRecord('01restore');
        expect(sendAgain()).toBe(0);
        expect(device.get('restock:QH-02')).toMatchObject({ isWaiting: false });
        device.remove('restock:QH-02');
        expect(sendAgain()).toBe(1);
        await sendWaiting([sender]);
        expect(got).toHaveLength(2);
    });

    it('goes after 14 days, and is not kept where it is none of the record', async () => {
        keepRecord('');
        const { sender } = server();
        device.put('restock', 'restock:QH-02', signed('2026-11-28T09:00:00Z'));
        await sendWaiting([sender]);
        const plain = server(false);
        device.put('restock', 'restock:QH-03', signed('2026-11-28T09:00:00Z'));
        await sendWaiting([plain.sender]);
        expect(device.all(SENT)).toHaveLength(1);
        vi.useFakeTimers({ toFake: ['Date'], now: Date.now() + 15 * 24 * 3600 * 1000 });
        keepRecord('01restore');
        expect(sendAgain()).toBe(0);
        expect(device.all(SENT)).toEqual([]);
    });
});
