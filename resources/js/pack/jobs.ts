import { words } from './words';

/** What each action that the server offers is called on its button. */
export const jobWords = {
    build: words.goOnPacking,
    report: words.answerReport,
    restock: words.restockThisKit,
    check: words.checkThisKit,
    people: words.postAFirstAider,
} as const;

/** The right that each action needs. */
export const rightOf = {
    build: 'restock',
    report: 'report',
    restock: 'restock',
    check: 'check',
    people: 'plan',
    use: 'restock',
    hand_back: 'restock',
} as const;

/** Gives the page of an action. */
export function jobAddress(kit: string, job: keyof typeof rightOf): string {
    return job === 'people' ? '/assess/people' : `/kits/${kit}/${job === 'hand_back' ? 'use?end=shift' : job}`;
}
