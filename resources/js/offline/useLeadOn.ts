import { useEffect, useState, useSyncExternalStore } from 'react';
import { useNavigate } from 'react-router';
import { device } from './device';
import { beganAnew, lastSent } from './outbox';

/** Leads on from the screen of a piece of work as soon as the server has it: to where its sender says. */
export function useLeadOn(id: string, isKept: boolean): void {
    const navigate = useNavigate();
    const sent = useSyncExternalStore(device.subscribe, () => lastSent(id));
    const [sentBefore] = useState(sent);
    useEffect(() => {
        if (!isKept && sent !== null && sent !== sentBefore) {
            beganAnew(id);
            void navigate(sent, { replace: true });
        }
    }, [isKept, sent, sentBefore, id, navigate]);
}
