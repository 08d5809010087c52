import type { Verdict } from '../api/client';
import { todayThere } from '../api/today';
import { isPast } from './limits';

export const verdictWords: Record<Verdict, string> = {
    ready: 'Ready',
    ready_with_actions: 'Ready, actions due',
    no_requirement: 'No requirement set',
    limited: 'Limited',
    not_checked: 'Not checked yet',
    not_ready: 'Not ready',
};

/** What a pocket is, as its design says. */
export const propertyWords: Record<string, string> = {
    heavy_when_open: 'Heavy when opened',
    sharps: 'For sharps',
    waterproof: 'Waterproof',
    rigid: 'Rigid',
    exposed_to_rain: 'Exposed to rain',
    take_first: 'Taken first on leaving',
};

const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' });
const weekday = new Intl.DateTimeFormat('en-GB', {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
});

/** "31 Mar 2027", of a day written YYYY-MM-DD. */
export function sayDay(date: string): string {
    return day.format(new Date(`${date.slice(0, 10)}T00:00:00Z`)).replace('Sept', 'Sep');
}

/** "Mar 2027" or "31 Mar 2027", of a date as it is printed on a pack. */
export function sayPrinted(printed: string): string {
    return printed.length > 7 ? sayDay(printed) : sayDay(`${printed}-01`).replace(/^\d+ /, '');
}

export function sayWeekday(date: string): string {
    return weekday.format(new Date(`${date.slice(0, 10)}T00:00:00Z`));
}

/** "23 Nov 2026, 14:05" in the organisation's zone, of an instant written in UTC. */
export function sayInstant(instant: string, timeZone: string): string {
    return new Intl.DateTimeFormat('en-GB', {
        day: 'numeric',
        month: 'short',
        year: 'numeric',
        hour: '2-digit',
        minute: '2-digit',
        timeZone,
    })
        .format(new Date(instant.replace(' ', 'T')))
        .replace('Sept', 'Sep');
}

/** "1 kit", "2 kits"; what has another plural says so. */
export function count(number: number, thing: string, several = `${thing}s`): string {
    return number === 1 ? `1 ${thing}` : `${number} ${several}`;
}

const scopes: Record<string, string> = {
    anyone: 'anyone',
    first_aider: 'first aiders',
    trained: 'people with special training',
    clinician: 'clinicians',
};

export const weekdayNames = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** "every day", "Mon to Fri", "Fri, Sat", of days from 1, Monday, to 7. */
export function sayWeekdays(days: number[]): string {
    const first = days[0] ?? 0;
    const last = days[days.length - 1] ?? 0;
    const name = (day: number) => weekdayNames[day - 1] ?? '';
    if (days.length === 7) {
        return 'every day';
    }
    return days.length > 2 && last - first === days.length - 1
        ? `${name(first)} to ${name(last)}`
        : days.map(name).join(', ');
}

const users: Record<string, string> = {
    anyone: 'nobody trained',
    first_aider: 'first aiders',
    trained: 'special training',
    clinician: 'clinicians',
};

/** Who is posted, by what they may use. */
export function sayUsers(scope: string): string {
    return users[scope] ?? scope;
}

export function sayScope(scope: string): string {
    return scopes[scope] ?? scope;
}

/** Of pieces that count for a line and stand under another one, or in another pocket. */
export function sayElsewhere(pieces: number): string {
    return `${count(pieces, 'piece')} shown elsewhere in this kit ${pieces === 1 ? 'counts' : 'count'} for this line.`;
}

/** "£12.50", of whole minor units. */
export function sayMoney(minor: number, currency: string): string {
    return new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(minor / 100);
}

/** "severe bleeding", of a name in the formats. */
export function sayName(name: string): string {
    return name.replaceAll('_', ' ').replaceAll('-', ' ');
}

/** "opened", and since when, where that is known. */
export function sayCondition(row: { condition: string; opened_on: string | null }): string {
    return row.opened_on === null ? row.condition : `opened ${sayDay(row.opened_on)}`;
}

/** "Table 1, medium" or "Workplace kits, class A", of a list and its size. */
export function sayList(list: { title: string; size: string | null }): string {
    const size = list.size?.replace(/^class-([a-z])$/, (_, letter: string) => `class ${letter.toUpperCase()}`);
    return size ? `${list.title}, ${size}` : list.title;
}

interface ListToChoose {
    id: string;
    code: string;
    title: string;
    size: string | null;
    edition: string;
    kind: string;
}

/** Lists to choose from, each told apart from the others: by its edition, and where that is alike too by its code. */
export function listOptions(lists: readonly ListToChoose[]): [id: string, word: string][] {
    const said = lists.map((list) => {
        const kind = list.kind === 'module' ? ', module' : '';
        return `${sayList(list)}, edition ${list.edition}${kind}`;
    });
    return lists.map((list, at) => {
        const word = said[at] ?? '';
        return [list.id, said.filter((one) => one === word).length > 1 ? `${word} (${list.code})` : word];
    });
}

/**
 * Says the last good day of a piece.
 *
 * @param dated whether its item has an expiry date; null where that is not known here
 */
export function sayGoodUntil(goodUntil: string | null, dated: boolean | null): string {
    if (goodUntil === null) {
        return dated === false ? 'undated' : dated ? 'no expiry date on record' : 'no date on record';
    }
    return isPast(goodUntil, todayThere()) ? `expired ${sayDay(goodUntil)}` : `expires ${sayDay(goodUntil)}`;
}

/** "expires Mar 2027" or "expired 4 Nov 2026", of a date as printed: a month is over when the next has begun. */
export function sayExpiry(printed: string): string {
    return `${printed < todayThere().slice(0, printed.length) ? 'expired' : 'expires'} ${sayPrinted(printed)}`;
}

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

export type DateOrder = 'day' | 'month';

interface Printed {
    year: string;
    month: string;
    day?: string;
}

const year = (written: string) => (written.length === 2 ? `20${written}` : written);
const two = (written: string | number) => String(written).padStart(2, '0');

/** What was typed, as year, month and day, whether or not there is such a day; null where it has no shape of a date. */
function partsOf(typed: string, order: DateOrder | null): Printed | null {
    const text = typed.trim().toLowerCase().replace(/\s+/g, ' ');
    let parts = /^(\d{4})[-/. ](\d{1,2})(?:[-/. ](\d{1,2}))?$/.exec(text);
    if (parts?.[1] && parts[2]) {
        return { year: parts[1], month: parts[2], day: parts[3] };
    }
    parts = /^(\d{1,2})[-/. ](\d{4}|\d{2})$/.exec(text);
    if (parts?.[1] && parts[2]) {
        return { year: year(parts[2]), month: parts[1] };
    }
    parts = /^(\d{1,2})[-/. ](\d{1,2})[-/. ](\d{4}|\d{2})$/.exec(text);
    if (parts?.[1] && parts[2] && parts[3]) {
        const [first, second] = [parts[1], parts[2]];
        // A number above 12 is no month: then there is nothing to ask.
        const isDayFirst = Number(first) > 12 || (Number(second) <= 12 && (order === 'day' || first === second));
        if (isDayFirst) {
            return { year: year(parts[3]), month: second, day: first };
        }
        return Number(second) > 12 || order === 'month' ? { year: year(parts[3]), month: first, day: second } : null;
    }
    parts = /^(?:(\d{1,2})[-/. ]?)?([a-z]{3})[a-z]*\.?[-/. ]?(\d{4}|\d{2})$/.exec(text);
    const named = parts?.[2] ? months.indexOf(parts[2]) + 1 : 0;
    return parts?.[3] && named > 0 ? { year: year(parts[3]), month: String(named), day: parts[1] } : null;
}

function exists({ year: of, month, day }: Printed): boolean {
    const last = new Date(Date.UTC(Number(of), Number(month), 0)).getUTCDate();
    return (
        Number(month) >= 1 && Number(month) <= 12 && (day === undefined || (Number(day) >= 1 && Number(day) <= last))
    );
}

/**
 * A date typed as it is printed on a pack (03/27, 2027-03, 12 MAR 27, MAR 2027, 2027-03-12, 12.03.2027), as YYYY-MM or YYYY-MM-DD.
 * Null where there is no such day, where it has no shape of a date, and where it could mean two days and the order is not known.
 */
export function readPrinted(typed: string, order: DateOrder | null = null): string | null {
    const parts = partsOf(typed, order);
    return parts !== null && exists(parts)
        ? `${parts.year}-${two(parts.month)}${parts.day === undefined ? '' : `-${two(parts.day)}`}`
        : null;
}

/** What it means with the day first, and with the month first, where it could mean either. */
export function twoReadings(typed: string): { day: string; month: string } | null {
    const [day, month] = [readPrinted(typed, 'day'), readPrinted(typed, 'month')];
    return day !== null && month !== null && day !== month ? { day, month } : null;
}

/** Whether it has the shape of a date and there is no such day: 29 FEB 2027, 31/04/2027. */
export function isNoDay(typed: string, order: DateOrder | null = null): boolean {
    const parts = partsOf(typed, order ?? 'day');
    return parts !== null && !exists(parts) && readPrinted(typed, 'month') === null;
}

const ORDER = 'sarcina.date-order';

/** In which order dates in numbers are printed where these kits are: asked once, and kept on this device. */
export const dateOrder = {
    read: (): DateOrder | null => {
        const kept = localStorage.getItem(ORDER);
        return kept === 'day' || kept === 'month' ? kept : null;
    },
    keep: (order: DateOrder): void => localStorage.setItem(ORDER, order),
};

/** What the page says here, to be read in one go. */
export const words = {
    aStartingPointNotLaw: 'A starting point, not law.',
    manyWorkplacesStartFromThese:
        ' Many workplaces start from these figures. Your own regulator and your risk assessment decide how many kits a place needs and what they hold.',
    expiresBeforeTheNextCheck: 'expires before the next check',
    metOnlyByExpiredStock: 'met only by expired stock kept as reserve',
    noneThere: 'none there',
    theKitOpenedFlat: 'The kit, opened flat',
    sarcina: (title: string) => `${title} · Sarcina`,
    reading: 'Reading…',
    somethingWentWrong: 'Something went wrong',
    loadThePageAgain: 'Load the page again.',
    paper: 'Paper',
    print: 'Print',
    cancel: 'Cancel',
    notSaved: 'The server did not answer. Nothing was saved; what you typed is still here.',
    moreToDo: 'More to do here',
    foldTheKit: 'Fold the kit',
    unfoldTheKit: 'Unfold the kit: all pockets',
    notLookedAt: (lines: number) => `${lines} not counted yet`,
    showOnly: 'Show only',
    typeToFind: 'Type to find one',
    nothingFound: 'Nothing found',
    previous: 'Previous',
    next: 'Next',
    pagesOf: (things: string) => `Pages of ${things}`,
    rows: (from: number, to: number, things: string) => `${from} to ${to} of ${things}`,
    exportSheet: 'Export as CSV',
    clear: 'Show all',
    thisChanges: (kits: string, worse: number) =>
        `This changes the status of ${kits}${worse > 0 ? `, ${worse} of them for the worse` : ''}`,
    judgedOf: (judged: number, concerned: number) =>
        `It concerns ${concerned} kits; ${judged} of them were judged beforehand.`,
    inThatShift: (shift: string) => `, ${shift} shift`,
    nowWord: 'now',
    thenWord: 'then',
    goBack: 'Go back',
    doItAnyway: 'Save and change them',
    unknown: 'Unknown',
    lastStatus: (status: string) => `last status: ${status}`,
    offlineAsOf: (time: string, day: string) => `Offline: as of ${time}, ${day}`,
    copyMayDiffer: 'This is the copy on this device.',
    copyIsOld: 'This copy is older than a day, so each status is unknown. Checking still works.',
    notOnDevice: 'Not on this device',
    connectToOpen: 'You are offline, and this page was not opened or taken along before. Connect to open it.',
    beingJudgedAgain: 'Being updated',
    byShift: 'Verdict by shift',
    inShift: (shift: string, now: boolean) =>
        `${shift.charAt(0).toUpperCase()}${shift.slice(1)} shift${now ? ', now' : ''}`,
};
