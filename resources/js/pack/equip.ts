import { api, ask, type Schemas } from '../api/client';
import type { Outgoing, Sender } from '../offline/outbox';

export const EQUIP = 'equip';

/** A new kit as it is entered, kept on this device until the server has it; with others of its kind, each with a code of its own. */
export interface EquipDraft extends Outgoing {
    kit: Schemas['NewKit'];
    others: { id: string; code: string }[];
}

export const equipId = (task: string | null) => `${EQUIP}:${task ?? 'new'}`;

export const equipSender: Sender<EquipDraft> = {
    kind: EQUIP,
    isOperation: true,
    send: async ({ kit, others }) => {
        if (others.length === 0) {
            const made = await ask(api.POST('/kits', { body: kit }));
            return `/kits/${made.code}/restock`;
        }
        await ask(
            api.POST('/kits/several', {
                body: {
                    design_id: kit.design_id,
                    scope: kit.scope,
                    kits: [{ id: kit.id, code: kit.code }, ...others].map(({ id, code }) => ({
                        id,
                        code,
                        name: `${kit.name} ${code}`.slice(0, 120),
                        place_id: kit.place_id,
                    })),
                },
            }),
        );
        return `/kits?place=${kit.place_id}`;
    },
};

/** Gives codes that follow a typed one: BOX-1 is followed by BOX-2 and BOX-3, BOX by BOX-2 and BOX-3. */
export function codesAfter(code: string, count: number): string[] {
    const [, letters = '', figures = ''] = /^(.*?)(\d*)$/.exec(code) ?? [];
    return Array.from({ length: Math.max(0, count) }, (_, at) =>
        figures === ''
            ? `${code}-${at + 2}`
            : `${letters}${String(Number(figures) + at + 1).padStart(figures.length, '0')}`,
    );
}
