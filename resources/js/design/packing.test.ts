import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addLine, moveLine, putLine, removeLine, setShare, shiftLine, splitLine, stepLine } from './lines';
import {
    addCompartment,
    anew,
    changeCompartment,
    drawn,
    linesIn,
    pathOf,
    pocketsOf,
    removeCompartment,
    shiftCompartment,
    type Draft,
} from './packing';
import { MOST_STEPS, noSteps, redone, stepped, undone } from './steps';

const empty: Draft = {
    list_id: 'list',
    policy: {} as Draft['policy'],
    modules: [],
    seasons: [],
    compartments: [],
    placements: [],
    additions: [],
    configurations: [],
    set_aside: [],
};

function kit(): Draft {
    let draft = addCompartment(empty, { id: 'main', parent: null, kind: 'leaf', word: 'Part' });
    for (const id of ['a', 'b', 'c']) {
        draft = addCompartment(draft, { id, parent: 'main', kind: 'pocket', word: 'Pocket' });
    }
    draft = addCompartment(draft, { id: 'in', parent: 'a', kind: 'pouch', word: 'Pouch' });
    return ['L1', 'L2', 'L3'].reduce((now, line) => putLine(now, line, 'a'), draft);
}

describe('packing a design', () => {
    it('puts new pockets into the next free half of a row, with names of their own', () => {
        const draft = kit();
        expect(draft.compartments.map((one) => [one.name, one.row, one.column])).toEqual([
            ['Part 1', 1, 1],
            ['Pocket 1', 1, 1],
            ['Pocket 2', 1, 2],
            ['Pocket 3', 2, 1],
            ['Pouch 1', 1, 1],
        ]);
        expect(pathOf(draft, 'in')).toBe('Part 1, Pocket 1, Pouch 1');
        expect(drawn(draft, 'main').map((one) => [one.compartment.id, one.depth, one.row])).toEqual([
            ['a', 1, 1],
            ['in', 2, 3],
            ['b', 1, 1],
            ['c', 1, 2],
        ]);
    });

    it('leaves lines without a pocket where theirs is removed, with what lies in it', () => {
        const draft = putLine(kit(), 'L3', 'in');
        const without = removeCompartment(draft, 'a');
        expect(without.compartments.map((one) => one.id)).toEqual(['main', 'b', 'c']);
        expect(without.placements).toEqual([]);
        expect(removeCompartment(draft, 'main').compartments).toEqual([]);
    });

    it('lets pockets change places, each drawn where the other was', () => {
        const shifted = shiftCompartment(kit(), 'b', -1);
        expect(shifted.compartments.slice(1, 3).map((one) => [one.id, one.row, one.column])).toEqual([
            ['b', 1, 1],
            ['a', 1, 2],
        ]);
        expect(linesIn(shifted, 'a')).toHaveLength(3);
        expect(shiftCompartment(kit(), 'a', -1)).toEqual(kit());
        expect(shiftLine(kit(), 'L1', 'a', 1).placements.map((one) => one.line)).toEqual(['L2', 'L1', 'L3']);
    });

    it('splits a line over pockets and joins it again', () => {
        const split = splitLine(kit(), 'L1', 'b', 2, 6);
        const shares = (draft: Draft) =>
            draft.placements.filter((one) => one.line === 'L1').map((one) => [one.compartment, one.quantity]);
        expect(shares(split)).toEqual([
            ['a', 4],
            ['b', 2],
        ]);
        expect(shares(splitLine(split, 'L1', 'c', 1, 6))).toEqual([
            ['a', 3],
            ['b', 2],
            ['c', 1],
        ]);
        expect(shares(moveLine(split, 'L1', 'b', 'c'))).toEqual([
            ['a', 4],
            ['c', 2],
        ]);
        expect(shares(moveLine(split, 'L1', 'b', 'a'))).toEqual([['a', null]]);
        expect(shares(setShare(split, 'L1', 'b', 0))).toEqual([['a', null]]);
        expect(splitLine(kit(), 'L1', 'b', 6, 6)).toEqual(kit());
    });

    it('adds lines under codes that nothing has, and removes them everywhere', () => {
        const { draft, code } = addLine(kit(), { code: 'whistle', name: 'Signal whistle' }, ['A1']);
        expect(code).toBe('A2');
        const known = changeCompartment(putLine(draft, code, 'a'), 'b', { looked_for: [code] });
        expect(removeLine(known, code)).toEqual(kit());
    });

    it('steps a line past every place of every pocket, and back', () => {
        const pockets = pocketsOf(kit()).map(([id]) => id);
        const outside = putLine(kit(), 'L2', null);
        // Two lines stay: each pocket has as many places as lines, and one more.
        const places = outside.placements.length + pockets.length;
        const seen: string[] = [];
        let now: { draft: Draft; in: string | null } = { draft: outside, in: null };
        for (let press = 0; press < places; press++) {
            now = stepLine(now.draft, 'L2', now.in, 1);
            const at = linesIn(now.draft, now.in ?? '').findIndex((one) => one.line === 'L2');
            seen.push(`${now.in ?? ''} ${at}`);
        }
        expect(new Set(seen).size).toBe(places);
        expect(now.in).toBe(pockets.at(-1));
        expect(stepLine(now.draft, 'L2', now.in, 1)).toEqual(now);
        for (let press = 1; press < places; press++) {
            now = stepLine(now.draft, 'L2', now.in, -1);
        }
        expect(now.in).toBe(pockets[0]);
        expect(linesIn(now.draft, pockets[0] ?? '')[0]?.line).toBe('L2');
        expect(stepLine(outside, 'L2', null, -1).in).toBe(pockets.at(-1));
    });

    it('keeps every line in as many pieces, whatever is done', () => {
        const doing = fc.array(
            fc.record({
                what: fc.constantFrom('put', 'move', 'split', 'shift', 'step'),
                line: fc.constantFrom('L1', 'L2', 'L3'),
                from: fc.constantFrom('a', 'b', 'c', 'in'),
                to: fc.constantFrom('a', 'b', 'c', 'in'),
                pieces: fc.integer({ min: 1, max: 6 }),
            }),
        );
        fc.assert(
            fc.property(doing, (steps) => {
                const done = steps.reduce((draft, { what, line, from, to, pieces }) => {
                    switch (what) {
                        case 'put':
                            return putLine(draft, line, to);
                        case 'move':
                            return draft.placements.some((one) => one.line === line && one.compartment === from)
                                ? moveLine(draft, line, from, to)
                                : draft;
                        case 'split':
                            return splitLine(draft, line, to, pieces, 6);
                        case 'step':
                            return draft.placements.some((one) => one.line === line && one.compartment === from)
                                ? stepLine(draft, line, from, pieces > 3 ? 1 : -1).draft
                                : draft;
                        default:
                            return shiftLine(draft, line, from, 1);
                    }
                }, kit());
                for (const line of ['L1', 'L2', 'L3']) {
                    const shares = done.placements.filter((one) => one.line === line);
                    expect(shares.reduce((sum, one) => sum + (one.quantity ?? 6), 0)).toBe(6);
                    expect(new Set(shares.map((one) => one.compartment)).size).toBe(shares.length);
                }
            }),
        );
    });

    it('makes a copy with compartments of its own', () => {
        let made = 0;
        const copy = anew(kit(), () => `new${made++}`);
        expect(copy.compartments.map((one) => one.name)).toEqual(kit().compartments.map((one) => one.name));
        expect(
            copy.compartments.map((one) => one.id).filter((id) => kit().compartments.some((one) => one.id === id)),
        ).toEqual([]);
        expect(pocketsOf(copy).map(([, path]) => path)).toEqual(pocketsOf(kit()).map(([, path]) => path));
        expect(linesIn(copy, copy.compartments[1]?.id ?? '')).toHaveLength(3);
    });
});

describe('undo and redo', () => {
    it('goes back fifty steps and forth again, and what is typed into one field is one step', () => {
        let steps = stepped<number>(noSteps, 0, 'name');
        steps = stepped(steps, 1, 'name');
        expect(undone(steps, 2)?.now).toBe(0);
        for (let step = 2; step < 80; step++) {
            steps = stepped(steps, step, null);
        }
        expect(steps.past).toHaveLength(MOST_STEPS);
        let now = 80;
        for (let step = 0; step < MOST_STEPS; step++) {
            const back = undone(steps, now);
            [steps, now] = [back?.steps ?? noSteps, back?.now ?? -1];
        }
        expect(now).toBe(30);
        expect(undone(steps, now)).toBeNull();
        expect(redone(steps, now)?.now).toBe(31);
        expect(stepped(steps, now, null).future).toEqual([]);
    });
});
