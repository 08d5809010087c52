import { describe, expect, it } from 'vitest';

type Says = string | ((...parts: never[]) => string);
const stages = import.meta.glob<{ words: Record<string, Says> }>('../*/words.ts', { eager: true });

/** Words that colleagues do not say to one another, with what they say in their place. */
const never: [RegExp, string][] = [
    [/\b(runs|ran|running) out\b/i, 'expires'],
    [/\blacks?\b/i, 'missing'],
    [/\bleaf\b/i, 'side of the kit'],
    [/\bspot\b/i, 'place'],
    [/\bhold(s|ing)? (to|against)\b/i, 'compare with, adopt'],
    [/\breckon/i, 'calculated'],
    [/\bthrow\b|\bforget\b|\bfor good\b/i, 'discard, delete permanently'],
    [/\bbring(s)? in\b/i, 'import'],
    [/\blasts\b|\blast longer\b/i, 'expires, usable for'],
    [/\blook(ed)? at(?! the outside)\b/i, 'check'],
    [/^keep\b/i, 'save'],
    [/!/, 'no exclamation'],
];

interface Said {
    at: string;
    text: string;
}

/** All texts below, however deep they stand, each with where. */
function texts(at: string, says: unknown): Said[] {
    if (typeof says === 'string') {
        return [{ at, text: says }];
    }
    if (typeof says === 'function') {
        return [{ at, text: (says as (...given: string[]) => string)(...Array<string>(6).fill('X')) }];
    }
    return Object.entries(says as object).flatMap(([key, one]) => texts(`${at}, ${key}`, one));
}

describe('all that the page says', () => {
    const said = Object.entries(stages).flatMap(([file, module]) => texts(file, module.words));

    it('stands in a module of its stage', () => {
        expect(Object.keys(stages)).toHaveLength(16);
        expect(said.length).toBeGreaterThan(800);
    });

    it.each(never)('never says %s', (word) => {
        expect(said.filter(({ text }) => word.test(text)).map(({ at, text }) => `${at}: ${text}`)).toEqual([]);
    });

    it('has no doubled space, and no sentence that begins with a small letter after a full stop', () => {
        expect(said.filter(({ text }) => /\S {2}\S|[a-z]\. [a-z]/.test(text)).map(({ at }) => at)).toEqual([]);
    });
});
