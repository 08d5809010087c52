import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, refuse, serve } from '../testing/server';
import { kit, user } from '../testing/samples';
import { begin, sign, type Draft } from './draft';
import { drafts } from './drafts';
import { sendWaiting } from '../offline/outbox';
import { senders } from './work';

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
        expect(await Promise.all([sendWaiting(senders), sendWaiting(senders)])).toEqual([1, 0]);
        expect(sent).toHaveLength(1);
        expect(sent[0]).toMatchObject({
            method: 'PUT',
            path: `/api/checks/${draft.id}`,
            body: { kit: 'QH-03', kind: 'full', base: { epoch: 1, number: 40 }, done_at: draft.doneAt },
        });
        expect((sent[0]?.body as { rows: unknown[] }).rows).toHaveLength(3);
        expect(drafts.all()).toEqual([]);
        expect(drafts.lastSentOf('QH-03', user.id)).toBe(`/checks/${draft.id}`);
    });

    it('leads to the kit where nothing of it could be recorded', async () => {
        keepSigned();
        serve(() => answer({ unsettled: 2 }, 202));
        await sendWaiting(senders);
        expect(drafts.lastSentOf('QH-03', user.id)).toBe('/kits/QH-03');
    });

    it('of a quick check sends no rows', async () => {
        keepSigned('quick');
        const sent = serve(() => answer({ number: 41 }));
        await sendWaiting(senders);
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
        expect(await sendWaiting(senders)).toBe(0);
        expect(drafts.of('QH-03', user.id)).toEqual(draft);
    });

    it('that the server refuses goes back to its checker with the reason', async () => {
        keepSigned();
        serve(() => refuse(422, 'Lot C3 is not on record.', { 'rows.0.lot': ['This lot is not on record.'] }));
        expect(await sendWaiting(senders)).toBe(0);
        const back = drafts.of('QH-03', user.id);
        expect(back).toMatchObject({
            isWaiting: false,
            errors: { 'rows.0.lot': ['This lot is not on record.'] },
            trouble: { detail: 'Lot C3 is not on record.' },
        });
        expect(back?.rows).toHaveLength(3);
    });

    it('is sent after what was signed before it, and not past what cannot be sent now', async () => {
        const later = sign(begin(kit({ code: 'QH-04' }), user, 'full'));
        drafts.keep({ ...later, doneAt: '2027-01-02T10:00:00.000Z' });
        const first = sign(begin(kit({ code: 'QH-05' }), user, 'full'));
        drafts.keep({ ...first, doneAt: '2027-01-02T09:00:00.000Z' });
        let isUp = false;
        const sent = serve(() => (isUp ? answer({ number: 41 }) : refuse(503, 'Not now.')));
        expect(await sendWaiting(senders)).toBe(0);
        expect(sent.map((one) => one.path)).toEqual([`/api/checks/${first.id}`]);
        isUp = true;
        expect(await sendWaiting(senders)).toBe(2);
        expect(sent.slice(1).map((one) => one.path)).toEqual([`/api/checks/${first.id}`, `/api/checks/${later.id}`]);
    });
});
