import { useEffect, useRef } from 'react';
import { useLocation, useSearchParams } from 'react-router';

/** What a list is asked for, kept in the address, so that it can be sent to somebody and found again. */
export interface Listing {
    page: number;
    /** Whether nothing is looked for and nothing left out. */
    isAll: boolean;
    get: (name: string) => string;
    /** Sets or takes away what is asked for; the list begins anew at its first page. */
    set: (changes: Record<string, string>) => void;
    turn: (page: number) => void;
    /** All that is asked for but the page, as it is sent. */
    asked: Record<string, string>;
}

const order = ['sort', 'order'];

/**
 * @param fields what it can be sorted and filtered by
 * @param before where several lists stand on a page: what the names of one begin with in the address
 */
export function useListing(fields: readonly string[], before = ''): Listing {
    const [search, setSearch] = useSearchParams();
    const { pathname } = useLocation();
    const shownAt = useRef(window.location.pathname);
    useEffect(() => {
        shownAt.current = window.location.pathname;
    }, [pathname]);
    const get = (name: string) => search.get(before + name) ?? '';
    const change = (changes: Record<string, string>) => {
        // A link was pressed and its page is on its way: what was typed just before would go into that page's address, and take away what it asks.
        if (window.location.pathname !== shownAt.current) {
            return;
        }
        setSearch(
            (now) => {
                const next = new URLSearchParams(now);
                for (const [name, value] of Object.entries(changes)) {
                    if (value === '') {
                        next.delete(before + name);
                    } else {
                        next.set(before + name, value);
                    }
                }
                return next;
            },
            { replace: true },
        );
    };
    const asked: Record<string, string> = {};
    for (const name of [...fields, ...order]) {
        if (get(name) !== '') {
            asked[name] = get(name);
        }
    }
    return {
        page: Math.max(1, Math.floor(Number(get('page'))) || 1),
        isAll: fields.every((name) => get(name) === ''),
        get,
        set: (changes) => change({ ...changes, page: '' }),
        turn: (page) => change({ page: page > 1 ? String(page) : '' }),
        asked,
    };
}
