import Typography from '@mui/material/Typography';
import { useSyncExternalStore } from 'react';
import { device } from '../offline/device';
import { count } from '../ui/words';
import { words } from './words';

/** Work on this device that others began: who has to sign in here so that it is sent. Nothing else of it can be read. */
export function ClosedWork() {
    const closed = useSyncExternalStore(device.subscribe, () => device.closed());
    const newer = closed.filter((one) => one.isNewer).length;
    const others = closed.filter((one) => !one.isNewer && one.kind !== 'form');
    const people = [...new Set(others.map((one) => one.personName))];
    const said = people.map((name) => {
        const own = others.filter((one) => one.personName === name);
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
    return (
        <>
            {newer > 0 && <Typography sx={{ my: 2 }}>{words.keptByANewerPage(count(newer, 'record'))}</Typography>}
            {said}
        </>
    );
}
