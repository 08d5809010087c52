import { useQueryClient } from '@tanstack/react-query';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { words } from './words';

export type Role = Schemas['AccountResource']['role'];

export const roles = ['lead', 'keeper', 'member', 'auditor'] as const;

export const roleOptions = roles.map((role) => [role, words.roles[role]] as const);

export const roleOf = (text: string): Role => roles.find((one) => one === text) ?? 'member';

/** Keeps what an answer says of all accounts; whatever names one of them is read anew. */
export function useKeepAccounts() {
    const client = useQueryClient();
    return (accounts: Schemas['AccountsResource']) => {
        client.setQueryData(questions.accounts().queryKey, accounts);
        return client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'accounts' });
    };
}
