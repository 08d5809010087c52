import { describe, expect, it } from 'vitest';
import { newest, noteRecorded } from './newest';

describe('a status just after signing', () => {
    it('is shown only by an answer from after that', () => {
        const before = { data: 'ready', dataUpdatedAt: Date.now() - 1 };
        expect(newest(before)).toBe('ready');
        noteRecorded();
        expect(newest(before)).toBeUndefined();
        expect(newest({ data: 'not_ready', dataUpdatedAt: Date.now() + 1 })).toBe('not_ready');
    });
});
