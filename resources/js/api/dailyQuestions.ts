import { queryOptions } from '@tanstack/react-query';
import { api, ask } from './client';

/** What the page asks about use, reports, loans, and what moves or is carried. */
export const dailyQuestions = {
    /** What of a store has not come back; without a store, what is to come back soon. */
    loans: (store?: string) =>
        queryOptions({
            queryKey: ['loans', store ?? null],
            queryFn: () =>
                ask(api.GET('/loans', { params: { query: store === undefined ? { near: 'yes' } : { store } } })),
        }),
    proposedLevels: (store: string) =>
        queryOptions({
            queryKey: ['proposed-levels', store],
            queryFn: () => ask(api.GET('/stores/{store}/proposed-levels', { params: { path: { store } } })),
        }),
    rounds: () => queryOptions({ queryKey: ['rounds'], queryFn: () => ask(api.GET('/rounds')) }),
    round: (round: string) =>
        queryOptions({
            queryKey: ['round', round],
            queryFn: () => ask(api.GET('/rounds/{round}', { params: { path: { round } } })),
        }),
    rotation: () => queryOptions({ queryKey: ['rotation'], queryFn: () => ask(api.GET('/rotation')) }),
    shortfalls: (kit: string) =>
        queryOptions({
            queryKey: ['shortfalls', kit],
            queryFn: () => ask(api.GET('/kits/{kit}/shortfalls', { params: { path: { kit } } })),
        }),
    /** How many to carry, for what was typed; what is empty is left out. */
    carry: (asked: {
        people: string;
        days: string;
        setting: string;
        each: string;
        together: string;
        covered: string;
        list: string;
    }) =>
        queryOptions({
            queryKey: ['carry', asked],
            queryFn: () =>
                ask(
                    api.GET('/how-many', {
                        params: {
                            query: {
                                people: asked.people as unknown as number,
                                days: asked.days as unknown as number,
                                setting: asked.setting as 'trip',
                                each: asked.each,
                                ...(asked.together === '' ? {} : { together: asked.together }),
                                ...(asked.covered === '' ? {} : { covered: asked.covered as unknown as number }),
                                ...(asked.list === '' ? {} : { list: asked.list }),
                            },
                        },
                    }),
                ),
        }),
    reports: (kit: string) =>
        queryOptions({
            queryKey: ['reports', kit],
            queryFn: () => ask(api.GET('/kits/{kit}/reports', { params: { path: { kit } } })),
        }),
    reportCode: (kit: string) =>
        queryOptions({
            queryKey: ['report-code', kit],
            queryFn: () => ask(api.GET('/kits/{kit}/report-code', { params: { path: { kit } } })),
        }),
};
