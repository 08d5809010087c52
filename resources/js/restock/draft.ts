import { api, ask, type Schemas } from '../api/client';
import { timeNow } from '../api/clock';
import { newId } from '../api/newId';
import { keptByKit } from '../offline/keptByKit';
import { signedNow } from '../offline/signedNow';
import { notSigned, type Outgoing, type Sender } from '../offline/outbox';
import { putOf, stepsOf, type Step } from './steps';

const KIND = 'restock';

/** A restock in progress, as it is kept on this device: the list as it was read, and what is done of it. */
export interface RestockDraft extends Outgoing {
    id: string;
    kit: string;
    begunAt: string;
    clockCheckedAt: string | null;
    base: Schemas['Base'];
    store: string;
    storeName: string;
    /** The day until which what goes in must be in date. */
    until: string;
    missing: Schemas['MissingResource'][];
    stays: Schemas['StayResource'][];
    notAdvised: Schemas['NotAdvisedResource'][];
    steps: Step[];
    /** What else lies in the store. */
    shelf?: Schemas['ShelfLot'][];
    sealReason: string;
    sealSet: string;
    /** The round on which it is done. */
    round: string | null;
}

export function beginRestock(
    kit: Schemas['KitResource'],
    plan: Schemas['RestockResource'],
    round: string | null = null,
): RestockDraft {
    return {
        id: newId(),
        kit: kit.code,
        begunAt: timeNow(),
        clockCheckedAt: null,
        base: plan.base,
        store: plan.store,
        storeName: plan.store_name,
        until: plan.until,
        missing: plan.missing,
        stays: plan.stays,
        notAdvised: plan.not_advised,
        steps: stepsOf(plan, kit.leaves[0]?.pockets[0]?.id ?? ''),
        shelf: plan.shelf,
        sealReason: '',
        sealSet: '',
        round,
        ...notSigned,
    };
}

export const restocks = keptByKit<RestockDraft>(KIND);

/** Signed now: it is sent as soon as the server answers. */
export function finish(draft: RestockDraft): RestockDraft {
    const { begunAt, signed } = signedNow(draft.begunAt);
    return { ...draft, ...signed, begunAt };
}

/** Lots that were not in the store, and of which nothing went in either. */
export function absentLots(steps: Step[]): string[] {
    const put = steps.flatMap((step) => (step.way === 'in' && step.isDone ? [putOf(step).lot_id] : []));
    const absent = steps.flatMap((step) => (step.way === 'in' && step.isAbsent ? [step.row.lot_id] : []));
    return [...new Set(absent)].filter((lot) => !put.includes(lot));
}

/** What is done to what goes in, before it does. */
export function stagingOf(step: Step): string | null {
    return step.way === 'in' ? ((step.instead ?? step.row).staging ?? null) : null;
}

/** How many pieces; null where no whole number was typed. */
export function piecesOf(step: Step): number | null {
    return /^\d{1,6}$/.test(step.quantity) ? Number(step.quantity) : null;
}

export const restockSender: Sender<RestockDraft> = {
    kind: KIND,
    isOperation: true,
    send: async (draft) => {
        const done = draft.steps.filter((step) => step.isDone);
        await ask(
            api.PUT('/kits/{kit}/restocks/{id}', {
                params: { path: { kit: draft.kit, id: draft.id } },
                body: {
                    store: draft.store,
                    base: draft.base,
                    begun_at: draft.begunAt,
                    done_at: draft.doneAt ?? draft.begunAt,
                    clock_checked_at: draft.clockCheckedAt,
                    out: done.flatMap((step) =>
                        step.way === 'out'
                            ? [
                                  {
                                      pocket_id: step.pocket,
                                      lot_id: step.row.lot_id,
                                      condition: step.row.condition,
                                      opened_on: step.row.opened_on,
                                      quantity: piecesOf(step) ?? 0,
                                      to: step.row.to,
                                  },
                              ]
                            : [],
                    ),
                    in: done.flatMap((step) =>
                        step.way === 'in'
                            ? [
                                  {
                                      pocket_id: step.pocket,
                                      lot_id: putOf(step).lot_id,
                                      quantity: piecesOf(step) ?? 0,
                                      staged: stagingOf(step) === null ? null : step.isStaged === true,
                                  },
                              ]
                            : [],
                    ),
                    not_found: absentLots(draft.steps),
                    seal_reason: draft.sealReason || null,
                    seal_set: draft.sealSet || null,
                    round_id: draft.round,
                },
            }),
        );
        return draft.round === null ? `/kits/${draft.kit}` : `/rounds/${draft.round}`;
    },
};
