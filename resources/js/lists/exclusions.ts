import { words } from './words';

/** A choice of a list that is kept as excluded classes: their pieces never count. */
export interface Exclusion {
    label: string;
    classes: readonly string[];
    /** A class that must be excluded before this choice is offered. */
    after?: string;
    /** Shown where a list is read. */
    said: string;
}

/** The choices that practitioners ask for; a house list may exclude other classes as well. */
export const exclusions: readonly Exclusion[] = [
    { label: words.excludeMedicine, classes: ['medicine'], said: words.noMedicine },
    {
        label: words.excludeTopicals,
        classes: ['antiseptic', 'gel', 'skin'],
        after: 'medicine',
        said: words.noTopicals,
    },
    {
        label: words.excludeWoundPacking,
        classes: ['dressing.haemostatic', 'dressing.sterile.gauze.packing'],
        said: words.coveredNotPacked,
    },
];

const split = (text: string): string[] =>
    text
        .split(',')
        .map((one) => one.trim())
        .filter(Boolean);

/** Says whether every class of a choice, or a class above it, is among those excluded. */
export function isExcluded(excluded: readonly string[], { classes }: Exclusion): boolean {
    return classes.every((one) => excluded.some((above) => one === above || one.startsWith(`${above}.`)));
}

/** Returns the choices offered for the classes as they are typed. */
export function offeredFor(typed: string): { choice: Exclusion; isOn: boolean }[] {
    const excluded = split(typed);
    return exclusions
        .filter(({ after }) => after === undefined || excluded.includes(after))
        .map((choice) => ({ choice, isOn: isExcluded(excluded, choice) }));
}

/** Adds the classes of a choice to those typed, or removes them. */
export function withChoice(typed: string, { classes }: Exclusion, isOn: boolean): string {
    const others = split(typed).filter((one) => !classes.includes(one));
    return [...others, ...(isOn ? classes : [])].join(', ');
}

/** Says which of the choices a list has made. */
export function sayExclusions(excluded: readonly string[]): string {
    return exclusions
        .filter((choice) => isExcluded(excluded, choice))
        .map(({ said }) => said)
        .join(' ');
}
