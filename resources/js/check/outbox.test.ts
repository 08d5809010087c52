import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, refuse, serve } from '../testing/server';
import { kit, user } from '../testing/samples';
import { begin, sign, type Draft } from './draft';
import { drafts } from './drafts';
import { sendWaiting } from './outbox';

afterEach(() => vi.unstubAllGlobals());

function keepSigned(kind: Draft['kind'] = 'full'): Draft {
    const draft = sign(begin(kit(), user, kind));
    drafts.keep(draft);
    return draft;
}

describe('a signed check that waits', () => {
    it('is sent once, whole, and then goes', async () => {
        const draft = keepSigned();
        const sent = serve(() => answer({ number: 41 }));
        // Two pages notice at the same moment that the server answers again.
        const [first, second] = await Promise.all([sendWaiting(user.id), sendWaiting(user.id)]);
        expect([...first, ...second].map((one) => one.id)).toEqual([draft.id]);
        expect(sent).toHaveLength(1);
        expect(sent[0]).toMatchObject({
            method: 'PUT',
            path: `/api/checks/${draft.id}`,
            body: { kit: 'QH-03', kind: 'full', base: { epoch: 1, number: 40 }, done_at: draft.doneAt },
        });
        expect((sent[0]?.body as { rows: unknown[] }).rows).toHaveLength(3);
        expect(drafts.all()).toEqual([]);
        expect(drafts.lastSentOf('QH-03')).toBe(`/checks/${draft.id}`);
    });

    it('leads to the kit where nothing of it could be recorded', async () => {
        keepSigned();
        serve(() => answer({ unsettled: 2 }, 202));
        await sendWaiting(user.id);
        expect(drafts.lastSentOf('QH-03')).toBe('/kits/QH-03');
    });

    it('of a quick check sends no rows', async () => {
        keepSigned('quick');
        const sent = serve(() => answer({ number: 41 }));
        await sendWaiting(user.id);
        expect((sent[0]?.body as { rows: unknown[] }).rows).toEqual([]);
    });

    it.each([
        ['no answer', () => Promise.reject(new TypeError('offline'))],
        ['a server in trouble', () => refuse(503, 'The database does not answer.')],
        ['too many requests', () => refuse(429, 'Wait a minute.')],
        ['a session that ended', () => refuse(401, 'Sign in again.')],
    ])('goes on waiting after %s', async (_, fails) => {
        const draft = keepSigned();
        serve(fails);
        expect(await sendWaiting(user.id)).toEqual([]);
        expect(drafts.of('QH-03', user.id)).toEqual(draft);
    });

    it('that the server refuses goes back to its checker with the reason', async () => {
        keepSigned();
        serve(() => refuse(422, 'Lot C3 is not on record.', { 'rows.0.lot': ['This lot is not on record.'] }));
        expect(await sendWaiting(user.id)).toEqual([]);
        const back = drafts.of('QH-03', user.id);
        expect(back).toMatchObject({
            isWaiting: false,
            errors: { 'rows.0.lot': ['This lot is not on record.'] },
            trouble: { detail: 'Lot C3 is not on record.' },
        });
        expect(back?.rows).toHaveLength(3);
    });

    it('of somebody else is left alone', async () => {
        keepSigned();
        const sent = serve(() => answer({ number: 41 }));
        await sendWaiting('8');
        expect(sent).toEqual([]);
        expect(drafts.of('QH-03', '8')).toBeNull();
        expect(drafts.of('QH-03', user.id)?.isWaiting).toBe(true);
    });
});
