import { api, ask, type Schemas } from '../api/client';
import { timeNow } from '../api/clock';
import { newId } from '../api/newId';
import { keptByKit } from '../offline/keptByKit';
import { notSigned, type Outgoing, type Sender } from '../offline/outbox';
import { signedNow } from '../offline/signedNow';

const KIND = 'use';

export type Why = Schemas['ReportedUse']['taken'][number]['why'];

/** Pieces of one row of a kit that were taken, and why. */
export interface Taken {
    pocket_id: string;
    lot_id: string;
    condition: Schemas['ContentResource']['condition'];
    opened_on: string | null;
    quantity: number;
    why: Why;
    isOpened: boolean;
    toKit: string;
}

/** What was taken from a kit, as it is kept on this device until the server has it. */
export interface UseDraft extends Outgoing {
    id: string;
    kit: string;
    begunAt: string;
    clockCheckedAt: string | null;
    base: Schemas['Base'];
    /** By the key of the row. */
    taken: Record<string, Taken>;
    note: string;
    sealReason: string;
    /** The report without an account that this confirms. */
    report: string | null;
    /** At the end of a shift: then nothing is an answer too, and it is signed. */
    handsBack: boolean;
    signed: string;
    /** Whether a tool that must come back has, by the key of its row. */
    isBack: Record<string, boolean>;
    /** When something that needs its minutes was started, by item. */
    started: Record<string, string>;
}

type Content = Schemas['ContentResource'];

/** The same for pieces of one lot in one condition in one pocket. */
export const keyOf = (row: Content): string =>
    [row.pocket_id, row.lot_id ?? '', row.condition, row.opened_on ?? ''].join(' ');

export function beginUse(kit: Schemas['KitResource'], report: string | null = null): UseDraft {
    return {
        id: newId(),
        kit: kit.code,
        begunAt: timeNow(),
        clockCheckedAt: null,
        base: kit.base,
        taken: {},
        note: '',
        sealReason: '',
        report,
        handsBack: false,
        signed: '',
        isBack: {},
        started: {},
        ...notSigned,
    };
}

export const uses = keptByKit<UseDraft>(KIND);

/** With so many more pieces of a row taken, within what is there; none left takes it off the list. */
export function withMore(draft: UseDraft, row: Content, more: number): UseDraft {
    const key = keyOf(row);
    const now = draft.taken[key];
    const quantity = Math.min(row.quantity, Math.max(0, (now?.quantity ?? 0) + more));
    const others = Object.fromEntries(Object.entries(draft.taken).filter(([one]) => one !== key));
    if (quantity === 0 || row.lot_id === null) {
        return { ...draft, taken: others };
    }
    const taken: Taken = now ?? {
        pocket_id: row.pocket_id,
        lot_id: row.lot_id,
        condition: row.condition,
        opened_on: row.opened_on,
        quantity,
        why: 'used',
        isOpened: false,
        toKit: '',
    };
    return { ...draft, taken: { ...draft.taken, [key]: { ...taken, quantity } } };
}

/** A tool that must come back has: what was said of it before is taken back. */
export function toolIsBack(draft: UseDraft, row: Content): UseDraft {
    const key = keyOf(row);
    const taken = Object.fromEntries(
        Object.entries(draft.taken).filter(([one, { why }]) => one !== key || why !== 'lost'),
    );
    return { ...draft, taken, isBack: { ...draft.isBack, [key]: true } };
}

/** It is not back: it is lost, all of it unless fewer are pressed. */
export function lostTool(draft: UseDraft, row: Content): UseDraft {
    const key = keyOf(row);
    const all = withMore(draft, row, row.quantity);
    const one = all.taken[key];
    return {
        ...all,
        taken: one === undefined ? all.taken : { ...all.taken, [key]: { ...one, why: 'lost', isOpened: false } },
        isBack: { ...draft.isBack, [key]: false },
    };
}

/** With the pieces that somebody reported: of each item those that expire first, as far as they are there. */
export function withReported(draft: UseDraft, rows: Content[], report: Schemas['ReportResource']): UseDraft {
    const byDate = [...rows].sort((one, other) => one.use_order - other.use_order);
    let now: UseDraft = { ...draft, report: report.id };
    for (const { item, pieces } of report.items) {
        let left = pieces;
        for (const row of byDate) {
            if (row.item === item && left > 0) {
                const taken = Math.min(left, row.quantity);
                now = withMore(now, row, taken);
                left -= taken;
            }
        }
    }
    return now;
}

export const piecesIn = (draft: UseDraft): number =>
    Object.values(draft.taken).reduce((all, one) => all + one.quantity, 0);

/** Whether there is enough to record it. */
export const isWhole = (draft: UseDraft, isShut: boolean, tools: string[] = []): boolean =>
    (draft.handsBack
        ? draft.signed.trim() !== '' &&
          (draft.report === null || piecesIn(draft) > 0) &&
          tools.every((key) => draft.isBack[key] !== undefined)
        : piecesIn(draft) > 0) &&
    Object.values(draft.taken).every((one) => one.why !== 'moved' || one.toKit.trim() !== '') &&
    (!isShut || piecesIn(draft) === 0 || draft.sealReason.trim() !== '');

export function finish(draft: UseDraft): UseDraft {
    const { begunAt, signed } = signedNow(draft.begunAt);
    return { ...draft, ...signed, begunAt };
}

export function bodyOf(draft: UseDraft): Schemas['ReportedUse'] {
    return {
        base: draft.base,
        begun_at: draft.begunAt,
        done_at: draft.doneAt ?? draft.begunAt,
        clock_checked_at: draft.clockCheckedAt,
        taken: Object.values(draft.taken).map(({ isOpened, toKit, ...one }) => ({
            ...one,
            opened: isOpened && one.why !== 'moved',
            to_kit: one.why === 'moved' ? toKit.trim() : null,
        })),
        note: draft.note.trim() || null,
        seal_reason: draft.sealReason.trim() || null,
        report_id: draft.report ?? null,
        handed_back_by: draft.handsBack ? draft.signed.trim() : null,
    };
}

export const usedSender: Sender<UseDraft> = {
    kind: KIND,
    isOperation: true,
    send: async (draft) => {
        const { kit, id } = draft;
        const done = await ask(
            api.PUT('/kits/{kit}/uses/{id}', { params: { path: { kit, id } }, body: bodyOf(draft) }),
        );
        const asksForMore = done.kit.verdict.reasons.some((one) => one.job === 'restock' && one.severity !== 'note');
        // What was used is put back there and then.
        return draft.handsBack && asksForMore ? `/kits/${kit}/restock` : `/kits/${kit}`;
    },
};
