import type { Schemas } from '../api/client';
import type { Scope } from '../api/queries';
import { entriesOf, entriesToSend, freshEntry, type EditedEntry } from './editing';

export interface EditedNeed {
    code: string;
    title: string;
    quantity: string;
    isReusable: boolean;
    accepts: EditedEntry[];
}

export interface EditedKind {
    title: string;
    scope: Scope;
    basis: string;
    /** Helpers for one casualty; typing kept from before they were asked for has none. */
    helpers?: string;
    needs: EditedNeed[];
}

export const scopes: readonly Scope[] = ['anyone', 'first_aider', 'trained', 'clinician'];

/** A need with a code of its own. */
export function freshNeed(needs: EditedNeed[]): EditedNeed {
    const numbers = needs.map((need) => Number(/^n(\d+)$/.exec(need.code)?.[1] ?? 0));
    return {
        code: `n${Math.max(0, ...numbers) + 1}`,
        title: '',
        quantity: '1',
        isReusable: false,
        accepts: [{ ...freshEntry, kind: 'class' }],
    };
}

/** As it is typed. */
export function edited(kind: Schemas['EmergencyResource'] | undefined): EditedKind {
    return kind === undefined
        ? { title: '', scope: 'anyone', basis: '', helpers: '1', needs: [freshNeed([])] }
        : {
              title: kind.title,
              scope: kind.scope,
              basis: kind.basis,
              helpers: String(kind.helpers),
              needs: kind.needs.map((need) => ({
                  code: need.code,
                  title: need.title,
                  quantity: String(need.quantity),
                  isReusable: need.reusable,
                  accepts: entriesOf(need.accepts),
              })),
          };
}

/** "Burn, small" as "burn-small": by which it is known from then on. */
export function codeOf(title: string): string {
    return title
        .toLowerCase()
        .replace(/[^a-z0-9]+/g, '-')
        .replace(/^-+|-+$/g, '')
        .slice(0, 60);
}

export function toSend(typed: EditedKind, base: number): Schemas['WrittenEmergency'] {
    return {
        base,
        title: typed.title.trim(),
        scope: typed.scope,
        basis: typed.basis.trim(),
        helpers: /^\d+$/.test(typed.helpers ?? '1') ? Number(typed.helpers ?? '1') : 0,
        needs: typed.needs.map((need) => ({
            code: need.code,
            title: need.title.trim(),
            quantity: /^\d{1,4}$/.test(need.quantity.trim()) ? Number(need.quantity) : 0,
            reusable: need.isReusable,
            accepts: entriesToSend(need.accepts),
        })),
    };
}
