import { useSyncExternalStore } from 'react';
import type { Schemas } from '../api/client';
import { device } from '../offline/device';
import { addedPut, builds, pocketsOf, type BuildDraft, type OutPiece, type PutIn } from './draft';

/** What is done while a kit is repacked, wherever it is shown. */
export function useBuild(kept: BuildDraft) {
    const draft = useSyncExternalStore(device.subscribe, () => builds.of(kept.kit)) ?? kept;
    const set = (to: (now: BuildDraft) => Partial<BuildDraft>) => {
        const now = builds.of(kept.kit) ?? draft;
        builds.keep({ ...now, trouble: null, errors: {}, ...to(now) });
    };
    const eachPut = (which: (put: PutIn) => boolean, to: Partial<PutIn>) =>
        set((now) => ({ puts: now.puts.map((put) => (which(put) ? { ...put, ...to } : put)) }));
    return {
        draft,
        set,
        count: (key: string, found: string, isCounted = true) =>
            set((now) => ({
                pieces: now.pieces.map((piece): OutPiece =>
                    piece.key === key ? { ...piece, found, isCounted } : piece,
                ),
            })),
        allCounted: () => set((now) => ({ pieces: now.pieces.map((piece) => ({ ...piece, isCounted: true })) })),
        put: (key: string, to: Partial<PutIn>) => eachPut((put) => put.key === key, to),
        wholePocket: (pocket: string) =>
            set((now) => ({
                puts: now.puts.map((put) => (put.pocket === pocket ? { ...put, isDone: true } : put)),
            })),
        add: (pocket: string, lot: Schemas['ShelfLot'], quantity: number) =>
            set((now) => ({ puts: [...now.puts, addedPut(now.puts, pocket, lot, quantity)] })),
        tick: (key: string, isDone: boolean) => set((now) => ({ tasks: { ...now.tasks, [key]: isDone } })),
        pockets: pocketsOf(draft),
    };
}

export type Build = ReturnType<typeof useBuild>;
