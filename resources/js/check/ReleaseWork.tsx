import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState, useSyncExternalStore } from 'react';
import { api, ask } from '../api/client';
import { questions } from '../api/queries';
import { device, type Kept } from '../offline/device';
import { release } from '../offline/release';
import { useSession } from '../session/useSession';
import { AskDialog } from '../ui/AskDialog';
import { Sheet } from '../ui/Page';
import { count } from '../ui/words';
import type { Draft } from './draft';
import { words } from './words';

/** Signed work on this device of somebody whose account has ended: a lead sends it in their place. */
export function ReleaseWork() {
    const { may, user } = useSession();
    const closed = useSyncExternalStore(device.subscribe, () => device.closed());
    const waiting = closed.filter((one) => one.isWaiting);
    const { data } = useQuery({ ...questions.accounts(), enabled: may('plan') && waiting.length > 0 });
    const [taken, setTaken] = useState<number | null>(null);
    const ended = (data?.accounts ?? []).filter(
        (account) => account.deactivated_on !== null && waiting.some((one) => one.person === account.id),
    );
    if (!user || (ended.length === 0 && taken === null)) {
        return null;
    }
    return (
        <Sheet title={words.ofEndedAccounts}>
            {taken !== null && (
                <Typography role="status" sx={{ mb: 2 }}>
                    {words.takenOver(count(taken, 'record'))}
                </Typography>
            )}
            {ended.map((account) => (
                <div key={account.id}>
                    <Typography sx={{ my: 2 }}>
                        {words.signedBeforeTheEnd(
                            count(waiting.filter((one) => one.person === account.id).length, 'record'),
                            account.name,
                        )}
                    </Typography>
                    <AskDialog
                        word={words.sendInTheirPlace}
                        title={words.sendInPlaceOf(account.name)}
                        done={words.sendInTheirPlace}
                        about={words.sendInPlaceAbout(account.name)}
                        save={async () => {
                            const number = await release(
                                account.id,
                                async (id) =>
                                    (
                                        await ask(
                                            api.PUT('/device-keys/{device}/of/{user}', {
                                                params: { path: { device: id, user: account.id } },
                                            }),
                                        )
                                    ).key,
                                (one) => inPlaceOf(one, account, user.id),
                            );
                            setTaken(number);
                        }}
                    />
                </div>
            ))}
        </Sheet>
    );
}

/** The same work for who sends it: the time at which it was done stays, and a check keeps the name under it. */
export function inPlaceOf(one: Kept, of: { id: string; name: string }, by: string): { id: string; value: unknown } {
    if (one.kind !== 'check') {
        return { id: one.id, value: one.value };
    }
    const draft = one.value as Draft;
    return {
        id: one.id.replace(`check:${of.id}:`, `check:${by}:`),
        value: {
            ...draft,
            user: by,
            signed: draft.signed || of.name,
            signedBecause: draft.signedBecause || words.signedByEnded(of.name),
        },
    };
}
