import { queryOptions } from '@tanstack/react-query';
import { api, ask } from './client';

/** Whose kits the worklist is of. */
export type Whose = 'all' | 'mine' | 'nobody';

/** What the first screen asks, and the finder beside every screen: all that the first load has to bring. */
export const firstQuestions = {
    today: (page: number, whose: Whose) =>
        queryOptions({
            queryKey: ['today', page, whose],
            queryFn: () =>
                ask(api.GET('/today', { params: { query: { page, ...(whose === 'all' ? {} : { whose }) } } })),
        }),
    find: (q: string) =>
        queryOptions({
            queryKey: ['find', q],
            queryFn: () => ask(api.GET('/find', { params: { query: { q } } })),
            enabled: q !== '',
        }),
};
