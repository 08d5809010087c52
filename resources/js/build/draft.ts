import { api, ask, done, type Schemas } from '../api/client';
import { timeNow } from '../api/clock';
import { newId } from '../api/newId';
import { keptByKit } from '../offline/keptByKit';
import { notSigned, type Outgoing, type Sender } from '../offline/outbox';
import { signedNow } from '../offline/signedNow';

export const BUILD = 'build';
const BEGUN = 'build_begun';

/** Pieces that came out of a pocket, and how many were found, as typed. */
export type OutPiece = Schemas['BuildPiece'] & { key: string; found: string; isCounted: boolean };

/** Pieces of one lot that go into a pocket: back, out of what was in the kit, or from the store. */
export interface PutIn {
    key: string;
    /** What came out, of which it is; null: from the store. */
    of: string | null;
    pocket: string;
    item: string;
    name: string;
    item_class: string | null;
    caution: string | null;
    lot_id: string;
    lot: string | null;
    good_until: string | null;
    quantity: string;
    isDone: boolean;
}

type Rest = Schemas['BuildPiece']['rest_to'];

/** A kit that is repacked, as it is kept on this device: how it was read, and what is done of it. */
export interface BuildDraft extends Outgoing {
    id: string;
    kit: string;
    begunAt: string;
    clockCheckedAt: string | null;
    base: Schemas['Base'];
    store: string;
    storeName: string;
    /** Pockets in the order in which they are packed. */
    order: string[];
    emptyMass: number;
    maxMass: number | null;
    /** Null where the empty bag was never weighed: its weight is not compared. */
    askOver: number | null;
    items: Schemas['BuildItem'][];
    missing: Schemas['MissingResource'][];
    shelf: Schemas['ShelfLot'][];
    pieces: OutPiece[];
    puts: PutIn[];
    /** Where what is left over goes, by piece, where it is not where it belongs. */
    rest: Record<string, Rest>;
    /** What is done before it goes in, by pocket and item. */
    tasks: Record<string, boolean>;
    weighed: string;
    weighedBecause: string;
    sealReason: string;
    sealSet: string;
}

export function beginBuild(kit: Schemas['KitResource'], plan: Schemas['BuildPlan']): BuildDraft {
    const pieces = plan.pieces.map((piece, at): OutPiece => ({
        ...piece,
        key: String(at),
        found: String(piece.quantity),
        isCounted: false,
    }));
    return {
        id: newId(),
        kit: kit.code,
        begunAt: timeNow(),
        clockCheckedAt: null,
        base: plan.restock.base,
        store: plan.restock.store,
        storeName: plan.restock.store_name,
        order: plan.order,
        emptyMass: plan.empty_mass_g,
        maxMass: plan.max_mass_g,
        askOver: plan.ask_over,
        items: plan.items,
        missing: plan.restock.missing,
        shelf: plan.restock.shelf,
        pieces,
        puts: [
            ...pieces.flatMap((piece) =>
                piece.back.map((share): PutIn => ({
                    ...about(piece),
                    key: `back ${piece.key} ${share.pocket_id}`,
                    of: piece.key,
                    pocket: share.pocket_id,
                    quantity: String(share.quantity),
                    isDone: false,
                })),
            ),
            ...plan.restock.in.map((row): PutIn => ({
                ...about(row),
                key: `in ${row.step}`,
                of: null,
                // A companion that no line names lies in the pocket that is packed last, on top.
                pocket: row.pocket_id ?? plan.order.at(-1) ?? '',
                quantity: String(row.quantity),
                isDone: false,
            })),
        ],
        rest: {},
        tasks: {},
        weighed: '',
        weighedBecause: '',
        sealReason: '',
        sealSet: '',
        ...notSigned,
    };
}

type About = Pick<PutIn, 'item' | 'name' | 'item_class' | 'caution' | 'lot_id' | 'lot' | 'good_until'>;

const about = ({ item, name, item_class, caution, lot_id, lot, good_until }: About): About => ({
    item,
    name,
    item_class,
    caution,
    lot_id,
    lot,
    good_until,
});

/** Something of the store that is put in besides what is listed. */
export const addedPut = (puts: PutIn[], pocket: string, lot: Schemas['ShelfLot'], quantity: number): PutIn => ({
    ...about(lot),
    key: `added ${puts.length}`,
    of: null,
    pocket,
    quantity: String(quantity),
    isDone: true,
});

export const builds = keptByKit<BuildDraft>(BUILD);

/** A whole number as typed; null where it is none. */
export const wholeOf = (typed: string): number | null => (/^\d{1,6}$/.test(typed) ? Number(typed) : null);

const sum = (numbers: number[]): number => numbers.reduce((all, one) => all + one, 0);

/** How many of what came out go back, with what is ticked. */
export const goesBack = (draft: BuildDraft, piece: OutPiece): number =>
    sum(draft.puts.map((put) => (put.of === piece.key && put.isDone ? (wholeOf(put.quantity) ?? 0) : 0)));

/** How many of what came out are left over; below none where more are ticked than came out. */
export const leftOver = (draft: BuildDraft, piece: OutPiece): number =>
    (wholeOf(piece.found) ?? 0) - goesBack(draft, piece);

export const restTo = (draft: BuildDraft, piece: OutPiece): Rest => draft.rest[piece.key] ?? piece.rest_to;

export const taskOf = (draft: BuildDraft, item: string): string | null =>
    draft.items.find((one) => one.item === item)?.task ?? null;

/** What is done to items before they go into a pocket: once for each item. */
export function tasksIn(
    draft: BuildDraft,
    pocket: string,
): { key: string; item: string; name: string; task: string }[] {
    const seen = new Map<string, PutIn>();
    draft.puts.filter((put) => put.pocket === pocket).forEach((put) => seen.set(put.item, seen.get(put.item) ?? put));
    return [...seen.values()].flatMap((put) => {
        const task = taskOf(draft, put.item);
        return task === null ? [] : [{ key: `${pocket} ${put.item}`, item: put.item, name: put.name, task }];
    });
}

/** Grams, of the bag and what is ticked, by the catalogue. */
export function massOf(draft: BuildDraft): number {
    const mass = new Map(draft.items.map((one) => [one.item, one.mass_g]));
    return (
        draft.emptyMass +
        sum(draft.puts.map((put) => (put.isDone ? (wholeOf(put.quantity) ?? 0) * (mass.get(put.item) ?? 0) : 0)))
    );
}

/** Grams by which what was weighed differs by more than is asked about; null where it does not, or was not weighed. */
export function apartBy(draft: BuildDraft): number | null {
    const weighed = wholeOf(draft.weighed);
    const apart = weighed === null ? 0 : Math.abs(weighed - massOf(draft));
    return draft.askOver !== null && apart * 100 > draft.askOver * massOf(draft) ? apart : null;
}

/** Pockets that something goes into, in the order in which they are packed. */
export const pocketsOf = (draft: BuildDraft): string[] =>
    draft.order.filter((pocket) => draft.puts.some((put) => put.pocket === pocket));

export const isPacked = (draft: BuildDraft, pocket: string): boolean =>
    draft.puts.every((put) => put.pocket !== pocket || put.isDone);

export function finish(draft: BuildDraft): BuildDraft {
    const { begunAt, signed } = signedNow(draft.begunAt);
    return { ...draft, ...signed, begunAt };
}

export const buildSender: Sender<BuildDraft> = {
    kind: BUILD,
    isOperation: true,
    send: async (draft) => {
        const { kit, id } = draft;
        await ask(api.PUT('/kits/{kit}/builds/{id}', { params: { path: { kit, id } }, body: bodyOf(draft) }));
        return `/kits/${kit}`;
    },
};

export function bodyOf(draft: BuildDraft): Schemas['FinishedBuild'] {
    const put = draft.puts.filter((one) => one.isDone && (wholeOf(one.quantity) ?? 0) > 0);
    return {
        store: draft.store,
        base: draft.base,
        begun_at: draft.begunAt,
        done_at: draft.doneAt ?? draft.begunAt,
        clock_checked_at: draft.clockCheckedAt,
        pieces: draft.pieces.map((piece) => {
            const left = leftOver(draft, piece);
            const isToStore = restTo(draft, piece) === 'store';
            return {
                pocket_id: piece.pocket_id,
                lot_id: piece.lot_id,
                condition: piece.condition,
                opened_on: piece.opened_on,
                recorded: piece.quantity,
                found: wholeOf(piece.found) ?? 0,
                back: put
                    .filter((one) => one.of === piece.key)
                    .map((one) => ({ pocket_id: one.pocket, quantity: wholeOf(one.quantity) ?? 0 })),
                to_store: isToStore ? left : 0,
                discarded: isToStore ? 0 : left,
            };
        }),
        in: put
            .filter((one) => one.of === null)
            .map((one) => ({ pocket_id: one.pocket, lot_id: one.lot_id, quantity: wholeOf(one.quantity) ?? 0 })),
        prepared: pocketsOf(draft).flatMap((pocket) =>
            tasksIn(draft, pocket)
                .filter(({ item }) => put.some((one) => one.pocket === pocket && one.item === item))
                .map(({ key, item }) => ({ pocket_id: pocket, item, done: draft.tasks[key] ?? false })),
        ),
        weighed_g: wholeOf(draft.weighed),
        weighed_because: draft.weighedBecause.trim() || null,
        seal_reason: draft.sealReason.trim() || null,
        seal_set: draft.sealSet.trim() || null,
    };
}

/** That it was begun: sent as soon as the server answers, so that nobody relies on the kit meanwhile. */
export interface BegunDraft extends Outgoing {
    id: string;
    kit: string;
    begunAt: string;
}

const begun = keptByKit<BegunDraft>(BEGUN);

export const beginnings = {
    isWaiting: (kit: string): boolean => begun.of(kit) !== null,
    keep: (draft: BuildDraft): void => {
        const { begunAt, signed } = signedNow(draft.begunAt);
        begun.keep({ id: draft.id, kit: draft.kit, ...signed, begunAt });
    },
    drop: begun.drop,
};

export const begunSender: Sender<BegunDraft> = {
    kind: BEGUN,
    isOperation: false,
    send: async ({ id, kit, begunAt }) => {
        await done(
            api.PUT('/kits/{kit}/builds/{id}/beginning', {
                params: { path: { kit, id } },
                body: { begun_at: begunAt },
            }),
        );
        return `/kits/${kit}/build`;
    },
};
