import { api, ask } from '../api/client';
import type { Sender } from '../offline/outbox';
import { rowsToSend, type Draft } from './draft';
import { answeredLines } from './looked';

/** Sends a signed check. */
export const checkSender: Sender<Draft> = {
    kind: 'check',
    isOperation: true,
    send: async (draft) => {
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
                    answered: draft.kind === 'full' ? answeredLines(draft) : [],
                    rows: draft.kind === 'full' ? rowsToSend(draft) : [],
                    signed: draft.signed,
                    signed_because: draft.signedBecause || null,
                    seal_found: draft.sealFound || null,
                    seal_set: draft.sealSet || null,
                    seal_reason: draft.sealReason || null,
                    note: draft.note || null,
                    modules: draft.modules.map((module) => ({
                        code: module.code,
                        relied: module.state === 'closed',
                        seal_found: module.state === 'closed' ? module.sealFound : null,
                        seal_set: module.sealSet || null,
                    })),
                },
            }),
        );
        return 'number' in recorded ? `/checks/${draft.id}` : `/kits/${draft.kit}`;
    },
};
