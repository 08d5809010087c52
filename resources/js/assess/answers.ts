import type { Schemas } from '../api/client';
import { words } from './words';

/** The answers for one area as they are typed: figures stay text until they are sent. */
export interface Answers {
    name: string;
    places: string[];
    hangs_at: string;
    people: string;
    hazard: 'low' | 'high';
    points: string;
    lone_workers: string;
    vehicles: string;
    running_water: boolean;
    has_freezer: boolean | null;
    children: string;
    minutes_to_help: string;
    risks: string[];
    note: string;
}

export const noAnswers: Answers = {
    name: '',
    places: [],
    hangs_at: '',
    people: '0',
    hazard: 'low',
    points: '1',
    lone_workers: '0',
    vehicles: '0',
    running_water: true,
    has_freezer: null,
    children: '0',
    minutes_to_help: '10',
    risks: [],
    note: '',
};

export function answersOf(area: Schemas['AreaResource']): Answers {
    return {
        name: area.name,
        places: area.places.map((place) => place.id),
        hangs_at: area.hangs_at ?? '',
        people: String(area.people),
        hazard: area.hazard,
        points: String(area.points),
        lone_workers: String(area.lone_workers),
        vehicles: String(area.vehicles),
        running_water: area.running_water,
        has_freezer: area.has_freezer,
        children: String(area.children),
        minutes_to_help: String(area.minutes_to_help),
        risks: area.risks,
        note: area.note ?? '',
    };
}

/** A whole number as typed; what is none is sent as it is, so that the server says what is wrong with it. */
function figure(typed: string): number {
    return /^\d+$/.test(typed.trim()) ? Number(typed) : -1;
}

export function toSend(answers: Answers, base: number): Schemas['AssessedArea'] {
    return {
        ...answers,
        base,
        name: answers.name.trim(),
        hangs_at: answers.hangs_at.trim() || null,
        note: answers.note.trim() || null,
        people: figure(answers.people),
        points: figure(answers.points),
        lone_workers: figure(answers.lone_workers),
        vehicles: figure(answers.vehicles),
        children: figure(answers.children),
        minutes_to_help: figure(answers.minutes_to_help),
    };
}

/** What is asked of an area, why, and what follows from the answer. */
export const figureQuestions: { key: keyof Answers; label: string; why: string }[] = [
    {
        key: 'people',
        label: words.peopleAtTheBusiestTime,
        why: words.theMostWhoAreThere,
    },
    {
        key: 'points',
        label: words.points,
        why: words.floorsBuildingsOrSpotsToo,
    },
    { key: 'lone_workers', label: words.loneWorkers, why: words.nobodyFetchesAKitFor },
    { key: 'vehicles', label: words.vehicles, why: words.anAccidentOnTheWay },
    { key: 'children', label: words.childrenAtTheBusiestTime, why: words.anyChildrenAddTheChildren },
    {
        key: 'minutes_to_help',
        label: words.minutesUntilAnAmbulanceIsThere,
        why: words.moreThan30AddThe,
    },
];

export const riskQuestions: { risk: string; label: string; why: string }[] = [
    { risk: 'burn', label: words.burns, why: words.hotWorkOvensSteamOpen },
    { risk: 'eye', label: words.eyes, why: words.dustSplashesChemicals },
    { risk: 'severe_bleeding', label: words.severeBleeding, why: words.sawsMachineryGlassHeights },
    { risk: 'cold', label: words.cold, why: words.outdoorWorkInWinterCold },
    { risk: 'heat', label: words.heat, why: words.glasshousesKitchensSummerInThe },
    { risk: 'bite_sting', label: words.bitesAndStings, why: words.insectsTicksAnimalsSpines },
    { risk: 'sharps', label: words.sharps, why: words.bladesNeedlesBrokenGlass },
    { risk: 'water', label: words.water, why: words.pondsPoolsBanks },
    { risk: 'children', label: words.children, why: words.alsoWhereTheirNumberIs },
    { risk: 'remote', label: words.distance, why: words.helpTakesLongToFind },
];
