import type { Schemas } from '../api/client';

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
        label: 'People at the busiest time',
        why: 'The most who are there at once decide how many kits, and how large.',
    },
    {
        key: 'points',
        label: 'Points',
        why: 'Floors, buildings or spots too far apart to share a kit. Each gets one.',
    },
    { key: 'lone_workers', label: 'Lone workers', why: 'Nobody fetches a kit for them: each carries a travel kit.' },
    { key: 'vehicles', label: 'Vehicles', why: 'An accident on the way is far from any kit: each vehicle has one.' },
    { key: 'children', label: 'Children at the busiest time', why: 'Any children add the children module.' },
    {
        key: 'minutes_to_help',
        label: 'Minutes until an ambulance is there',
        why: 'More than 30 add the remote module: supplies must last longer.',
    },
];

export const riskQuestions: { risk: string; label: string; why: string }[] = [
    { risk: 'burn', label: 'Burns', why: 'hot work, ovens, steam, open flames' },
    { risk: 'eye', label: 'Eyes', why: 'dust, splashes, chemicals' },
    { risk: 'severe_bleeding', label: 'Severe bleeding', why: 'saws, machinery, glass, heights' },
    { risk: 'cold', label: 'Cold', why: 'outdoor work in winter, cold stores' },
    { risk: 'heat', label: 'Heat', why: 'glasshouses, kitchens, summer in the open' },
    { risk: 'bite_sting', label: 'Bites and stings', why: 'insects, ticks, animals, spines' },
    { risk: 'sharps', label: 'Sharps', why: 'blades, needles, broken glass' },
    { risk: 'water', label: 'Water', why: 'ponds, pools, banks' },
    { risk: 'children', label: 'Children', why: 'also where their number is not known' },
    { risk: 'remote', label: 'Distance', why: 'help takes long to find the place, though it is near' },
];
