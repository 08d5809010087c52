import { createContext, useContext, useSyncExternalStore, type ReactNode } from 'react';
import { timeNow } from '../api/clock';
import { copyMadeAt, subscribeToCopies } from '../api/copies';
import { hasUnsentDoubt } from '../offline/doubts';
import { Notice } from './Notice';
import { isOlderThanADay, isPast } from './limits';
import { words } from './words';

interface Copy {
    madeAt: string;
    isOld: boolean;
    day: string;
}

const CopyContext = createContext<Copy | null>(null);

/** Says that what is shown was read from this device, and as of when. Statuses inside may be unknown by now. */
export function OfflineCopy({ path, timeZone, children }: { path: string; timeZone: string; children: ReactNode }) {
    const madeAt = useSyncExternalStore(subscribeToCopies, () => copyMadeAt(path));
    if (madeAt === null) {
        return children;
    }
    const now = timeNow();
    const at = (options: Intl.DateTimeFormatOptions) =>
        new Intl.DateTimeFormat('en-GB', { timeZone, ...options }).format(new Date(madeAt)).replace('Sept', 'Sep');
    const day = new Intl.DateTimeFormat('en-CA', { timeZone }).format(new Date(now));
    return (
        <CopyContext.Provider value={{ madeAt, isOld: isOlderThanADay(madeAt, now), day }}>
            <Notice>
                <strong>
                    {words.offlineAsOf(
                        at({ hour: '2-digit', minute: '2-digit' }),
                        at({ day: 'numeric', month: 'short' }),
                    )}
                </strong>
                {'. '}
                {isOlderThanADay(madeAt, now) ? words.copyIsOld : words.copyMayDiffer}
            </Notice>
            {children}
        </CopyContext.Provider>
    );
}

/** Finds whether a status that is shown is unknown by now: its copy is old, its time is over, or this device has an unsent doubt. */
export function useIsUnknown(holdsThrough: string | null | undefined, kit: string | undefined): boolean {
    const copy = useContext(CopyContext);
    return (
        copy !== null &&
        (copy.isOld || isPast(holdsThrough ?? null, copy.day) || (kit !== undefined && hasUnsentDoubt(kit)))
    );
}
