import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { api, ask } from '../api/client';
import { device } from '../offline/device';
import { forgetCopies, sessionQuestion } from './session';

/** Who is signed in and what they may do. Used below the session gate, where somebody is. */
export function useSession() {
    const { data } = useQuery(sessionQuestion());
    const may = useCallback((ability: string) => data?.user?.may.includes(ability) ?? false, [data]);
    return {
        session: data,
        user: data?.user ?? null,
        timeZone: data?.time_zone ?? 'UTC',
        today: data?.today ?? '',
        may,
    };
}

/** Ends the session and forgets all that was read, so that nothing stays on a shared device but what is not sent, locked. */
export function useSignOut() {
    const client = useQueryClient();
    return useCallback(async () => {
        await ask(api.DELETE('/session'));
        await device.end();
        await forgetCopies();
        client.clear();
        window.location.assign('/');
    }, [client]);
}
