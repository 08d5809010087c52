import { device } from './device';

interface Unsent {
    kit: string;
    isWaiting?: boolean;
    sealFound?: string;
    errors?: Record<string, string[]>;
}

/** Says whether this device holds work that puts a kit's status in doubt and is not sent: a use, or a seal number that was refused. */
export function hasUnsentDoubt(kit: string): boolean {
    return (
        device.all<Unsent>('use').some(({ value }) => value.kit === kit && value.isWaiting === true) ||
        device.all<Unsent>('check').some(({ value }) => value.kit === kit && value.errors?.seal_found !== undefined)
    );
}
