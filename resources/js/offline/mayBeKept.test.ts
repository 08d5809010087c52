import { expect, it } from 'vitest';
import { mayBeKept } from './mayBeKept';

const at = (path: string) => mayBeKept(new URL(path, 'http://127.0.0.1'));

it.each([
    '/api/today?page=2',
    '/api/kits',
    '/api/kits/QH-01',
    '/api/kits/QH-01/restock?store=1',
    '/api/places?q=glass',
    '/api/lists/01h',
    '/api/items/foil-blanket',
    '/api/choices/items',
])('%s may be read without a network', (path) => expect(at(path)).toBe(true));

it.each([
    '/api/people',
    '/api/cover',
    '/api/session',
    '/api/device-keys/01h',
    '/api/exports/catalogue',
    '/api/imports/01h',
    '/api/kits/QH-01/file',
    '/api/kits/QH-01/history',
    '/api/kits?format=csv',
    '/api/operations/01h/copy',
    '/api/unsettled',
    '/assess/people',
])('%s is never kept', (path) => expect(at(path)).toBe(false));
