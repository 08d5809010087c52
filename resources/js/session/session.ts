import { queryOptions } from '@tanstack/react-query';
import { api, ask, isProblem, keepToken, type Schemas } from '../api/client';
import { timeNow } from '../api/clock';
import { keepToday } from '../api/today';
import { device } from '../offline/device';
import { keepRecord } from '../offline/sent';

/** Who is signed in; where the server does not answer, who was when it last did. */
export function sessionQuestion() {
    return queryOptions({
        queryKey: ['session'],
        queryFn: async (): Promise<Schemas['SessionResource']> => {
            try {
                const session = await ask(api.GET('/session'));
                keepToken(session.csrf);
                keepToday(session.today);
                await keep(session);
                return session;
            } catch (error) {
                const known = isProblem(error) && error.isPassing ? await lastKnown() : null;
                if (known === null) {
                    throw error;
                }
                // It is asked for when something is sent.
                keepToken('');
                keepToday(known.today);
                return known;
            }
        },
        staleTime: Infinity,
    });
}

/** Kept without any secret, so that a reload without a network knows who it is. */
export async function keep(session: Schemas['SessionResource']): Promise<void> {
    if (session.user) {
        keepRecord(session.record);
        await device.keepWho({
            user: session.user,
            organisation: session.organisation,
            timeZone: session.time_zone,
        });
    }
}

async function lastKnown(): Promise<Schemas['SessionResource'] | null> {
    const who = await device.who();
    return who === null
        ? null
        : {
              user: who.user as Schemas['UserResource'],
              csrf: '',
              organisation: who.organisation,
              time_zone: who.timeZone,
              today: dayIn(who.timeZone),
              needs_setup: false,
              record: '',
          };
}

/** "2026-11-28", by this device's clock, where the kits are. */
function dayIn(timeZone: string): string {
    return new Intl.DateTimeFormat('en-CA', { timeZone }).format(new Date(timeNow()));
}

/** What was read here goes when the session ends, however it ends. */
export async function forgetCopies(): Promise<void> {
    const names = 'caches' in window ? await caches.keys() : [];
    await Promise.all(names.filter((name) => name.startsWith('sarcina-read')).map((name) => caches.delete(name)));
}
