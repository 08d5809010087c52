import Typography from '@mui/material/Typography';
import { useSyncExternalStore } from 'react';
import { device } from '../offline/device';
import { count } from '../ui/words';
import { words } from './words';

/** Work on this device that others began: who has to sign in here so that it is sent. Nothing else of it can be read. */
export function ClosedWork() {
    const closed = useSyncExternalStore(device.subscribe, () => device.closed());
    const people = [...new Set(closed.map((one) => one.personName))];
    return people.map((name) => {
        const own = closed.filter((one) => one.personName === name && one.kind !== 'form');
        const waiting = own.filter((one) => one.isWaiting);
        const shown = waiting.length > 0 ? waiting : own;
        return (
            shown.length > 0 && (
                <Typography key={name} sx={{ my: 2 }}>
                    {(waiting.length > 0 ? words.waitsToBeSent : words.isNotFinished)(
                        count(shown.length, 'record'),
                        name,
                    )}
                </Typography>
            )
        );
    });
}
