import { api, ask, isProblem } from '../api/client';
import { rowsToSend, type Draft } from './draft';
import { drafts } from './drafts';

let isSending = false;

/**
 * Sends every signed check that waits. What cannot be sent now goes on waiting; what the server does not
 * take goes back to its checker with the reason. The id was made here: sent twice, it counts once.
 *
 * @returns the checks that were recorded
 */
export async function sendWaiting(user: string): Promise<Draft[]> {
    if (isSending) {
        return [];
    }
    isSending = true;
    const sent: Draft[] = [];
    try {
        for (const draft of drafts.all().filter((one) => one.isWaiting && one.user === user)) {
            if (await send(draft)) {
                sent.push(draft);
            }
        }
    } finally {
        isSending = false;
    }
    return sent;
}

async function send(draft: Draft): Promise<boolean> {
    try {
        const recorded = await ask(
            api.PUT('/checks/{id}', {
                params: { path: { id: draft.id } },
                body: {
                    kit: draft.kit,
                    kind: draft.kind,
                    begun_at: draft.startedAt,
                    done_at: draft.doneAt,
                    clock_checked_at: draft.clockCheckedAt,
                    base: draft.base,
                    rows: draft.kind === 'full' ? rowsToSend(draft) : [],
                    signed: draft.signed,
                    seal_found: draft.sealFound || null,
                    seal_set: draft.sealSet || null,
                    seal_reason: draft.sealReason || null,
                    note: draft.note || null,
                    modules: draft.modules?.map((module) => ({
                        code: module.code,
                        relied: module.state === 'closed',
                        seal_set: module.sealSet || null,
                    })),
                },
            }),
        );
        drafts.sent(draft, 'number' in recorded);
        return true;
    } catch (error) {
        if (!isProblem(error) || error.isPassing || error.isSignedOut) {
            return false;
        }
        drafts.keep({
            ...draft,
            isWaiting: false,
            errors: error.errors,
            trouble: { title: error.title, detail: error.message, changes: error.changes },
        });
        return false;
    }
}
