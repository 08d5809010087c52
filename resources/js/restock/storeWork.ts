import { api, ask, type Schemas } from '../api/client';
import { timeNow } from '../api/clock';
import { newId } from '../api/newId';
import { device } from '../offline/device';
import { signedNow } from '../offline/signedNow';
import { notSigned, type Outgoing, type Sender } from '../offline/outbox';
import { readPrinted } from '../ui/words';

const KIND = 'store';

export const storeTasks = [
    'receive',
    'count',
    'dispose',
    'move',
    'set_apart',
    'release',
    'lend',
    'borrow',
    'repack',
] as const;

export type StoreTask = (typeof storeTasks)[number];

/** What comes in is typed as goods; what is done with what lies there is typed beside it. */
export const comesIn = (task: StoreTask): boolean => task === 'receive' || task === 'borrow';

export const isLoan = (task: StoreTask): boolean => task === 'lend' || task === 'borrow';

/** Whether it is not recorded without a reason. */
export const asksWhy = (task: StoreTask): boolean =>
    task === 'dispose' || task === 'set_apart' || task === 'release' || task === 'repack';

/** What is asked for of the shelf: only good pieces are set apart, lent or repacked, and only those that are set apart go back into stock. */
export const liesAs = (task: StoreTask): { condition?: 'good' | 'apart' } =>
    task === 'release'
        ? { condition: 'apart' }
        : task === 'set_apart' || task === 'lend' || task === 'repack'
          ? { condition: 'good' }
          : {};

/** A row as it is typed: pieces of one lot. */
export interface WorkRow {
    key: string;
    item: string;
    name: string;
    lot: string;
    /** As it is printed on the pack. */
    expires: string;
    condition: string;
    openedOn: string | null;
    /** How many the record has; null for what was not listed. */
    recorded: number | null;
    pieces: string;
    packs: string;
    price: string;
    isNewLot: boolean;
    /** Far below what is usual, and genuine all the same. */
    isPriceChecked: boolean;
}

/** Work at a store in progress, as it is kept on this device. */
export interface StoreDraft extends Outgoing {
    id: string;
    task: StoreTask;
    store: string;
    storeName: string;
    begunAt: string;
    clockCheckedAt: string | null;
    base: Schemas['Base'];
    rows: WorkRow[];
    toStore: string;
    reason: string;
    supplier: string;
    deliveryNote: string;
    /** The team or organisation that lends or borrows, and until when. */
    partner: string;
    dueOn: string;
    /** Whether the lots that are set apart are recalled. */
    isRecall?: boolean;
}

export const storeWorkId = (store: string, task: StoreTask) => `${KIND}:${task}:${store}`;

export const storeWork = {
    of: (store: string, task: StoreTask): StoreDraft | null =>
        (device.get(storeWorkId(store, task)) as StoreDraft | undefined) ?? null,
    keep: (draft: StoreDraft): void => device.put(KIND, storeWorkId(draft.store, draft.task), draft),
    drop: (draft: StoreDraft): void => device.remove(storeWorkId(draft.store, draft.task)),
};

export function beginStoreWork(task: StoreTask, read: Schemas['StoreContentsResource']): StoreDraft {
    return {
        id: newId(),
        task,
        store: read.store.id,
        storeName: read.store.name,
        begunAt: timeNow(),
        clockCheckedAt: null,
        base: read.base,
        rows: [],
        toStore: '',
        reason: '',
        supplier: '',
        deliveryNote: '',
        partner: '',
        dueOn: '',
        ...notSigned,
    };
}

export function emptyRow(item: { code: string; name: string }): WorkRow {
    return {
        key: newId(),
        item: item.code,
        name: item.name,
        lot: '',
        expires: '',
        condition: 'good',
        openedOn: null,
        recorded: null,
        pieces: '',
        packs: '',
        price: '',
        isNewLot: false,
        isPriceChecked: false,
    };
}

/** A row of the shelf, under the key by which it is found again. */
export function shelfRow(row: Schemas['StoreRow']): WorkRow {
    return {
        ...emptyRow({ code: row.item, name: row.name }),
        key: [row.item, row.lot, row.expires, row.condition, row.opened_on].join('|'),
        lot: row.lot ?? '',
        expires: row.expires ?? '',
        condition: row.condition,
        openedOn: row.opened_on,
        recorded: row.quantity,
    };
}

/** A whole number; null where none was typed. */
export function piecesTyped(typed: string): number | null {
    return /^\d{1,6}$/.test(typed.trim()) ? Number(typed.trim()) : null;
}

/** "4.50" as whole minor units; null where it is no sum. */
export function minorOf(typed: string): number | null {
    const parts = /^(\d{1,7})(?:[.,](\d{1,2}))?$/.exec(typed.trim());
    return parts ? Number(parts[1]) * 100 + Number((parts[2] ?? '').padEnd(2, '0') || 0) : null;
}

/** What is wrong with a row before it is sent, by field. */
export function faultOf(row: WorkRow, task: StoreTask): 'pieces' | 'expires' | 'price' | 'packs' | null {
    const pieces = piecesTyped(row.pieces);
    if (pieces === null || (pieces === 0 && task !== 'count')) {
        return 'pieces';
    }
    if (row.expires.trim() !== '' && readPrinted(row.expires) === null) {
        return 'expires';
    }
    if (row.packs.trim() !== '' && piecesTyped(row.packs) === null) {
        return 'packs';
    }
    return row.price.trim() !== '' && minorOf(row.price) === null ? 'price' : null;
}

/** Signed now: it is sent as soon as the server answers. */
export function finishStoreWork(draft: StoreDraft): StoreDraft {
    const { begunAt, signed } = signedNow(draft.begunAt);
    return { ...draft, ...signed, begunAt };
}

export const storeSender: Sender<StoreDraft> = {
    kind: KIND,
    isOperation: true,
    send: async (draft) => {
        const isReceived = draft.task === 'receive';
        await ask(
            api.PUT('/stores/{store}/entries/{id}', {
                params: { path: { store: draft.store, id: draft.id } },
                body: {
                    kind: draft.task,
                    begun_at: draft.begunAt,
                    done_at: draft.doneAt ?? draft.begunAt,
                    clock_checked_at: draft.clockCheckedAt,
                    base: draft.base,
                    to_store: draft.task === 'move' ? draft.toStore : null,
                    reason: isReceived ? null : draft.reason.trim() || null,
                    supplier: isReceived ? draft.supplier.trim() || null : null,
                    delivery_note: isReceived ? draft.deliveryNote.trim() || null : null,
                    partner: isLoan(draft.task) ? draft.partner.trim() : null,
                    due_on: isLoan(draft.task) ? draft.dueOn : null,
                    ...(draft.task === 'set_apart' ? { recall: draft.isRecall === true } : {}),
                    rows: draft.rows.map((row) => ({
                        item: row.item,
                        lot: row.lot.trim() || null,
                        expires: readPrinted(row.expires),
                        quantity: piecesTyped(row.pieces) ?? 0,
                        condition: row.condition as 'good',
                        opened_on: row.openedOn,
                        new_lot: row.isNewLot,
                        packs: isReceived ? piecesTyped(row.packs) : null,
                        price: isReceived ? minorOf(row.price) : null,
                        price_checked: isReceived && row.isPriceChecked,
                    })),
                },
            }),
        );
        return `/stores/${draft.store}`;
    },
};
