import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api, ask } from '../api/client';
import { questions } from '../api/queries';

/** Who is signed in and what they may do. Used below the session gate, where somebody is. */
export function useSession() {
    const { data } = useQuery(questions.session());
    const may = useCallback((ability: string) => data?.user?.may.includes(ability) ?? false, [data]);
    return {
        session: data,
        user: data?.user ?? null,
        timeZone: data?.time_zone ?? 'UTC',
        today: data?.today ?? '',
        may,
    };
}

/** Ends the session and forgets all that was read, so that nothing stays on a shared device. */
export function useSignOut() {
    const client = useQueryClient();
    return useCallback(async () => {
        await ask(api.DELETE('/session'));
        const names = 'caches' in window ? await caches.keys() : [];
        await Promise.all(names.filter((name) => name.startsWith('sarcina-read')).map((name) => caches.delete(name)));
        client.clear();
        window.location.assign('/');
    }, [client]);
}
