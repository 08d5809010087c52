import { answersSender, type AnswersDraft } from '../assess/answersKept';
import { begunSender, buildSender, isPacked, pocketsOf, type BegunDraft, type BuildDraft } from '../build/draft';
import { device } from '../offline/device';
import type { Outgoing, Sender } from '../offline/outbox';
import { equipSender, type EquipDraft } from '../pack/equip';
import { restockSender, type RestockDraft } from '../restock/draft';
import { storeSender, type StoreDraft } from '../restock/storeWork';
import { piecesIn, usedSender, type UseDraft } from '../use/draft';
import { progressInAll, type Draft } from './draft';
import { checkSender } from './outbox';
import { words } from './words';

/** Every kind of work that this device keeps until the server has it. */
export const senders: readonly Sender<never>[] = [
    checkSender,
    usedSender,
    restockSender,
    begunSender,
    buildSender,
    storeSender,
    equipSender,
    answersSender,
];

/** One piece of work, as it is named to its person. */
export interface Work {
    id: string;
    kind: string;
    value: Outgoing;
    title: string;
    detail: string;
    startedAt: string | null;
    href: string;
}

let read: { from: unknown[]; work: Work[] } = { from: [], work: [] };

/** All of it, the same list until something changes. */
export function allWork(): Work[] {
    const from = senders.map((sender) => device.all(sender.kind));
    if (from.some((one, at) => read.from[at] !== one)) {
        const work = senders.flatMap(({ kind }) =>
            device.all<Outgoing>(kind).map(({ id, value }): Work => ({ id, kind, value, ...named(kind, value) })),
        );
        read = { from, work };
    }
    return read.work;
}

function named(kind: string, value: Outgoing): Omit<Work, 'id' | 'kind' | 'value'> {
    if (kind === 'check') {
        const check = value as Draft;
        const { done, all } = progressInAll(check);
        return {
            title: words.checkOf2(check.kit),
            detail: check.kind === 'full' ? words.countedOf(done, all) : '',
            startedAt: check.startedAt,
            href: `/kits/${check.kit}/check`,
        };
    }
    if (kind === 'restock') {
        const restock = value as RestockDraft;
        const done = restock.steps.filter((step) => step.isDone).length;
        return {
            title: words.restockOf(restock.kit),
            detail: words.stepsDone(done, restock.steps.length),
            startedAt: restock.begunAt,
            href: `/kits/${restock.kit}/restock`,
        };
    }
    if (kind === 'use') {
        const use = value as UseDraft;
        return {
            title: words.useOf(use.kit),
            detail: words.piecesTaken(piecesIn(use)),
            startedAt: use.begunAt,
            href: `/kits/${use.kit}/use`,
        };
    }
    if (kind === 'build') {
        const build = value as BuildDraft;
        const pockets = pocketsOf(build);
        return {
            title: words.packingOf(build.kit),
            detail: words.pocketsPacked(pockets.filter((pocket) => isPacked(build, pocket)).length, pockets.length),
            startedAt: build.begunAt,
            href: `/kits/${build.kit}/build`,
        };
    }
    if (kind === 'build_begun') {
        const begun = value as BegunDraft;
        return {
            title: words.packingBegun(begun.kit),
            detail: '',
            startedAt: begun.begunAt,
            href: `/kits/${begun.kit}/build`,
        };
    }
    if (kind === 'store') {
        const work = value as StoreDraft;
        return {
            title: words.storeWork[work.task](work.storeName),
            detail: words.rowsEntered(work.rows.length),
            startedAt: work.begunAt,
            href: `/stores/${work.store}/${work.task}`,
        };
    }
    if (kind === 'equip') {
        const { kit } = value as EquipDraft;
        return {
            title: words.newKit(kit.code),
            detail: kit.name,
            startedAt: null,
            href: kit.task ? `/kits/new?task=${kit.task}` : '/kits/new',
        };
    }
    const answers = value as AnswersDraft;
    return {
        title: words.answersFor(answers.name),
        detail: '',
        startedAt: null,
        href: `/assess/${answers.assessment}`,
    };
}
