import { describe, expect, it } from 'vitest';
import { gramsOf } from './weight';

describe('a weight that somebody types', () => {
    it('is grams where it has no unit', () => {
        expect([gramsOf('800'), gramsOf(' 800 g ')]).toEqual([800, 800]);
    });

    it('may have any unit, and is rounded half up to whole grams', () => {
        expect(gramsOf('4 kg')).toBe(4000);
        expect(gramsOf('2,5kg')).toBe(2500);
        // 453.59237 g and 28.349523125 g, by hand.
        expect(gramsOf('9 lb')).toBe(4082);
        expect(gramsOf('1 LB')).toBe(454);
        expect(gramsOf('12 oz')).toBe(340);
        expect(gramsOf('100 oz')).toBe(2835);
        expect([gramsOf('0.5 g'), gramsOf('0.4999 g')]).toEqual([1, 0]);
    });

    it('is none where it cannot be read', () => {
        expect(['', 'heavy', '4 stone', '4 kg 200', '-1', '1e3'].map(gramsOf)).toEqual(Array(6).fill(undefined));
    });
});
