import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { api, ask } from './client';

/** How a list is sorted and filtered, as its address says; the server refuses what it does not know. */
type Asked = Record<string, string>;

/** What somebody may use. */
export type Scope = 'anyone' | 'first_aider' | 'trained' | 'clinician';

/** The questions that the page asks the server, each with its key; those that come with the first load stand in firstQuestions. */
interface Limit {
    measure: string;
    quantity: string;
}

const byMeasure = (limits: Limit[]) => Object.fromEntries(limits.map((one) => [one.measure, one.quantity]));

export const questions = {
    account: () => queryOptions({ queryKey: ['account'], queryFn: () => ask(api.GET('/account')) }),
    accounts: () => queryOptions({ queryKey: ['accounts'], queryFn: () => ask(api.GET('/accounts')) }),
    mail: () => queryOptions({ queryKey: ['mail'], queryFn: () => ask(api.GET('/mail')) }),
    toBuy: () => queryOptions({ queryKey: ['to-buy'], queryFn: () => ask(api.GET('/to-buy')) }),
    datesAhead: (month: string, page: number) =>
        queryOptions({
            queryKey: ['dates-ahead', month, page],
            queryFn: () =>
                ask(api.GET('/dates-ahead', { params: { query: { page, ...(month === '' ? {} : { month }) } } })),
        }),
    storeLevels: (store: string) =>
        queryOptions({
            queryKey: ['store-levels', store],
            queryFn: () => ask(api.GET('/stores/{store}/levels', { params: { path: { store } } })),
        }),
    storeHistory: (store: string) =>
        queryOptions({
            queryKey: ['store-history', store],
            queryFn: () => ask(api.GET('/stores/{store}/history', { params: { path: { store } } })),
        }),
    places: (q: string, page: number) =>
        queryOptions({
            queryKey: ['places', 'tree', q, page],
            queryFn: () => ask(api.GET('/places', { params: { query: { q, page } } })),
        }),
    merging: (place: string) =>
        queryOptions({
            queryKey: ['merging', place],
            queryFn: () => ask(api.GET('/places/{place}/merging', { params: { path: { place } } })),
            staleTime: 0,
        }),
    freeCodes: (count: number, like: string) =>
        queryOptions({
            queryKey: ['free-codes', count, like],
            queryFn: () => ask(api.GET('/choices/codes', { params: { query: { count, like } } })),
            staleTime: 0,
        }),
    kitTasks: (whose: 'mine' | 'all', kit?: string) =>
        queryOptions({
            queryKey: ['kit-tasks', whose, kit ?? null],
            queryFn: () => ask(api.GET('/kit-tasks', { params: { query: { whose, kit } } })),
        }),
    accountChoices: () =>
        queryOptions({ queryKey: ['account-choices'], queryFn: () => ask(api.GET('/choices/accounts')) }),
    kits: (asked: Asked, page: number) =>
        queryOptions({
            queryKey: ['kits', asked, page],
            queryFn: () => ask(api.GET('/kits', { params: { query: { ...asked, page } } })),
        }),
    kit: (kit: string) =>
        queryOptions({
            queryKey: ['kit', kit],
            queryFn: () => ask(api.GET('/kits/{kit}', { params: { path: { kit } } })),
        }),
    coping: (kit: string, together: string) =>
        queryOptions({
            queryKey: ['coping', 'kit', kit, together],
            queryFn: () =>
                ask(
                    api.GET('/kits/{kit}/coping', {
                        params: { path: { kit }, query: together === '' ? {} : { together } },
                    }),
                ),
            placeholderData: keepPreviousData,
        }),
    emergencies: () => queryOptions({ queryKey: ['emergencies'], queryFn: () => ask(api.GET('/emergencies')) }),
    configuration: (kit: string, to: string) =>
        queryOptions({
            queryKey: ['configuration', kit, to],
            queryFn: () =>
                ask(
                    api.GET('/kits/{kit}/configuration', {
                        params: { path: { kit }, query: to === '' ? {} : { to } },
                    }),
                ),
            staleTime: 0,
        }),
    looseModules: () => queryOptions({ queryKey: ['loose-modules'], queryFn: () => ask(api.GET('/modules')) }),
    history: (kit: string, before?: number) =>
        queryOptions({
            queryKey: ['history', kit, before ?? null],
            queryFn: () => ask(api.GET('/kits/{kit}/history', { params: { path: { kit }, query: { before } } })),
        }),
    restock: (kit: string, store?: string) =>
        queryOptions({
            queryKey: ['restock', kit, store ?? null],
            queryFn: () => ask(api.GET('/kits/{kit}/restock', { params: { path: { kit }, query: { store } } })),
            staleTime: 0,
        }),
    build: (kit: string, store?: string) =>
        queryOptions({
            queryKey: ['build', kit, store ?? null],
            queryFn: () => ask(api.GET('/kits/{kit}/build', { params: { path: { kit }, query: { store } } })),
            staleTime: 0,
        }),
    pickList: (kits: string[], store: string) =>
        queryOptions({
            queryKey: ['pick-list', kits, store],
            queryFn: () =>
                ask(
                    api.GET('/pick-list', {
                        params: { query: { kits: kits.join(','), ...(store === '' ? {} : { store }) } },
                    }),
                ),
            staleTime: 0,
        }),
    unsettled: (kit?: string) =>
        queryOptions({
            queryKey: ['unsettled', kit ?? null],
            queryFn: () => ask(api.GET('/unsettled', { params: { query: { kit } } })),
        }),
    notes: () => queryOptions({ queryKey: ['notes'], queryFn: () => ask(api.GET('/notes')) }),
    check: (check: string) =>
        queryOptions({
            queryKey: ['check', check],
            queryFn: () => ask(api.GET('/checks/{check}', { params: { path: { check } } })),
        }),
    items: (asked: Asked, page: number) =>
        queryOptions({
            queryKey: ['items', asked, page],
            queryFn: () => ask(api.GET('/items', { params: { query: { ...asked, page } } })),
        }),
    /** The whole catalogue by name, to choose from. */
    itemChoices: () => queryOptions({ queryKey: ['items', 'choices'], queryFn: () => ask(api.GET('/choices/items')) }),
    /** Asks what a line by a class with limits would accept. */
    accepted: (named: string, least: Limit[], most: Limit[]) =>
        queryOptions({
            queryKey: ['items', 'accepted', named, least, most],
            queryFn: () =>
                ask(
                    api.GET('/choices/accepted', {
                        params: {
                            query: {
                                class: named,
                                least: byMeasure(least),
                                most: byMeasure(most),
                            },
                        },
                    }),
                ),
            retry: false,
        }),
    item: (item: string) =>
        queryOptions({
            queryKey: ['item', item],
            queryFn: () => ask(api.GET('/items/{item}', { params: { path: { item } } })),
        }),
    lots: (item: string) =>
        queryOptions({
            queryKey: ['lots', item],
            queryFn: () => ask(api.GET('/items/{item}/lots', { params: { path: { item } } })),
        }),
    classes: () => queryOptions({ queryKey: ['classes'], queryFn: () => ask(api.GET('/classes')) }),
    organisation: () => queryOptions({ queryKey: ['organisation'], queryFn: () => ask(api.GET('/organisation')) }),
    list: (list: string) =>
        queryOptions({
            queryKey: ['list', list],
            queryFn: () => ask(api.GET('/lists/{list}', { params: { path: { list } } })),
        }),
    editionChange: (list: string, from?: string) =>
        queryOptions({
            queryKey: ['edition-change', list, from ?? null],
            queryFn: () => ask(api.GET('/lists/{list}/change', { params: { path: { list }, query: { from } } })),
        }),
    editionPreview: (id: string, after: number) =>
        queryOptions({
            queryKey: ['edition-preview', id, after],
            queryFn: () => ask(api.GET('/previews/{preview}', { params: { path: { preview: id }, query: { after } } })),
            refetchInterval: (query) =>
                query.state.data?.state === 'waiting' || query.state.data?.state === 'running' ? 1_500 : false,
        }),
    comparison: (list: string, subject: string) =>
        queryOptions({
            queryKey: ['comparison', list, subject],
            queryFn: () => ask(api.GET('/lists/{list}/comparison', { params: { path: { list }, query: { subject } } })),
            enabled: list !== '' && subject !== '',
        }),
    assessments: () => queryOptions({ queryKey: ['assessments'], queryFn: () => ask(api.GET('/assessments')) }),
    assessment: (assessment: string) =>
        queryOptions({
            queryKey: ['assessment', assessment],
            queryFn: () => ask(api.GET('/assessments/{assessment}', { params: { path: { assessment } } })),
        }),
    choices: () => queryOptions({ queryKey: ['choices'], queryFn: () => ask(api.GET('/choices')) }),
    asks: () => queryOptions({ queryKey: ['asks'], queryFn: () => ask(api.GET('/asks')) }),
    people: () => queryOptions({ queryKey: ['people'], queryFn: () => ask(api.GET('/people')) }),
    shifts: () => queryOptions({ queryKey: ['shifts'], queryFn: () => ask(api.GET('/shifts')) }),
    cover: () => queryOptions({ queryKey: ['cover'], queryFn: () => ask(api.GET('/cover')) }),
    lists: (asked: Asked, page: number) =>
        queryOptions({
            queryKey: ['lists', asked, page],
            queryFn: () => ask(api.GET('/lists', { params: { query: { ...asked, page } } })),
        }),
    /** All editions by name, to choose from. */
    listChoices: () => queryOptions({ queryKey: ['lists', 'choices'], queryFn: () => ask(api.GET('/choices/lists')) }),
    stores: () => queryOptions({ queryKey: ['stores'], queryFn: () => ask(api.GET('/stores')) }),
    store: (store: string, asked: Asked, page: number) =>
        queryOptions({
            queryKey: ['store', store, asked, page],
            queryFn: () => ask(api.GET('/stores/{store}', { params: { path: { store }, query: { ...asked, page } } })),
        }),
};
