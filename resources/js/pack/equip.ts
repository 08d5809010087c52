import { api, ask, type Schemas } from '../api/client';
import type { Outgoing, Sender } from '../offline/outbox';

export const EQUIP = 'equip';

/** A new kit as it is entered, kept on this device until the server has it. */
export interface EquipDraft extends Outgoing {
    kit: Schemas['NewKit'];
}

export const equipId = (task: string | null) => `${EQUIP}:${task ?? 'new'}`;

export const equipSender: Sender<EquipDraft> = {
    kind: EQUIP,
    send: async ({ kit }) => {
        const made = await ask(api.POST('/kits', { body: kit }));
        return `/kits/${made.code}/restock`;
    },
};
