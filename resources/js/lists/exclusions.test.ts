import { describe, expect, it } from 'vitest';
import { offeredFor, sayExclusions, withChoice } from './exclusions';

const labels = (typed: string) => offeredFor(typed).map(({ choice }) => choice.label);
const choice = (label: RegExp) => {
    const found = offeredFor('medicine').find((one) => label.test(one.choice.label));
    if (!found) {
        throw new Error(`No choice ${String(label)}`);
    }
    return found.choice;
};

describe('what a list excludes', () => {
    it('offers gels, creams, sprays and antiseptics once medicine is excluded', () => {
        expect(labels('').some((label) => label.includes('creams'))).toBe(false);
        expect(labels('medicine').some((label) => label.includes('creams'))).toBe(true);
    });

    it('adds the classes of a choice and removes them again, and keeps the others', () => {
        const typed = withChoice('medicine, needle', choice(/creams/), true);
        expect(typed).toBe('medicine, needle, antiseptic, gel, skin');
        expect(offeredFor(typed).map(({ isOn }) => isOn)).toEqual([true, true, false]);
        expect(withChoice(typed, choice(/creams/), false)).toBe('medicine, needle');
    });

    it('is said where the list is read, also where a class above is excluded', () => {
        expect(sayExclusions(['medicine'])).toBe('No medicine.');
        expect(sayExclusions(['dressing'])).toMatch(/covered, not packed/);
        expect(sayExclusions(['dressing.haemostatic'])).toBe('');
    });
});
