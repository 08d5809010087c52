import { keepPreviousData, queryOptions } from '@tanstack/react-query';
import { api, ask, type Schemas } from './client';
import type { Scope } from './queries';

/** What the page asks of designs, of their editions and of the kits that follow them. */
export const designQuestions = {
    draft: (design: string) =>
        queryOptions({
            queryKey: ['draft', design],
            queryFn: () => ask(api.GET('/designs/{design}/draft', { params: { path: { design } } })),
            staleTime: 0,
        }),
    foresight: (design: string | null, draft: Schemas['Draft']) =>
        queryOptions({
            queryKey: ['foresight', design, draft],
            queryFn: () => ask(api.POST('/designs/foresight', { body: { design, draft } })),
            placeholderData: keepPreviousData,
            gcTime: 60_000,
        }),
    draftEffects: (design: string, draft: Schemas['Draft']) =>
        queryOptions({
            queryKey: ['draft-effects', design, draft],
            queryFn: () =>
                ask(api.POST('/designs/{design}/effects', { params: { path: { design } }, body: { design, draft } })),
            gcTime: 60_000,
        }),
    copingOfDesign: (design: string, scope: Scope, together: string) =>
        queryOptions({
            queryKey: ['coping', 'design', design, scope, together],
            queryFn: () =>
                ask(
                    api.GET('/designs/{design}/coping', {
                        params: { path: { design }, query: { scope, ...(together === '' ? {} : { together }) } },
                    }),
                ),
            placeholderData: keepPreviousData,
        }),
    adoption: (kit: string, edition?: string) =>
        queryOptions({
            queryKey: ['adoption', kit, edition ?? null],
            queryFn: () => ask(api.GET('/kits/{kit}/adoption', { params: { path: { kit }, query: { edition } } })),
        }),
    editionChoices: () =>
        queryOptions({ queryKey: ['edition-choices'], queryFn: () => ask(api.GET('/choices/editions')) }),
    /** Two editions, each with a configuration or none after a colon. */
    beside: (one: string, other: string) =>
        queryOptions({
            queryKey: ['beside', one, other],
            queryFn: () => {
                const [a = '', aIn = ''] = one.split(':');
                const [b = '', bIn = ''] = other.split(':');
                return ask(
                    api.GET('/beside', {
                        params: { query: { one: a, one_in: aIn, other: b, other_in: bIn } },
                    }),
                );
            },
            enabled: one !== '' && other !== '',
        }),
    following: () => queryOptions({ queryKey: ['following'], queryFn: () => ask(api.GET('/following')) }),
    designs: () => queryOptions({ queryKey: ['designs'], queryFn: () => ask(api.GET('/designs')) }),
};
