import { describe, expect, it } from 'vitest';
// The catalogue that ships, as it stands in the file.
import items from '../../../database/demo/items.csv?raw';
import { plainSign, signOf, signs } from './signs';

const classes = items
    .trim()
    .split('\n')
    .slice(1)
    .map((row) => /^[^,]+,(?:"[^"]*"|[^,]*),([^,]+),/.exec(row)?.[1] ?? row);

describe('signs', () => {
    it('are drawn for every class of the catalogue that ships', () => {
        expect(classes.length).toBeGreaterThan(90);
        expect(classes.filter((named) => signOf(named) === plainSign)).toEqual([]);
    });

    it('are about as many as there are kinds of things, each its own drawing', () => {
        const drawings = Object.values(signs);
        expect(new Set(drawings).size).toBe(drawings.length);
        expect(drawings.length).toBeGreaterThan(50);
        expect(new Set(classes.map(signOf)).size).toBeGreaterThan(50);
    });

    it('stay within their field', () => {
        for (const [named, path] of Object.entries(signs)) {
            const begins = [...path.matchAll(/M(-?[\d.]+)[ ,](-?[\d.]+)/g)];
            expect(begins.length, named).toBeGreaterThan(0);
            for (const [, x, y] of begins) {
                expect(
                    Number(x) >= 2 && Number(x) <= 22 && Number(y) >= 2 && Number(y) <= 22,
                    `${named} at ${x} ${y}`,
                ).toBe(true);
            }
        }
    });

    it('have that of the class above where they have none', () => {
        expect(signOf('gloves.nitrile.small')).toBe(signs.gloves);
        expect(signOf('unknown.thing')).toBe(plainSign);
    });
});
