import { linesIn, pocketsOf, type Draft, type Placement } from './packing';

/** All of a line in one compartment; null: in none. What was planned stays planned. */
export function putLine(draft: Draft, line: string, into: string | null): Draft {
    const was = draft.placements.find((one) => one.line === line);
    const others = draft.placements.filter((one) => one.line !== line);
    return {
        ...draft,
        placements:
            into === null
                ? others
                : [
                      ...others,
                      {
                          line,
                          compartment: into,
                          quantity: null,
                          from_day: was?.from_day ?? null,
                          waits_for: was?.waits_for ?? null,
                      },
                  ],
    };
}

/** A part of a line moved from one compartment to another; all of it where it is not split. */
export function moveLine(draft: Draft, line: string, from: string, to: string): Draft {
    const shares = draft.placements.filter((one) => one.line === line);
    if (from === to) {
        return draft;
    }
    if (shares.length < 2) {
        return putLine(draft, line, to);
    }
    const moved = shares.find((one) => one.compartment === from);
    const there = shares.find((one) => one.compartment === to);
    const rest = draft.placements.filter((one) => one !== moved && one !== there);
    const joined = {
        ...(there ?? moved),
        line,
        compartment: to,
        quantity: (moved?.quantity ?? 0) + (there?.quantity ?? 0),
    } as Placement;
    return whole({ ...draft, placements: [...rest, joined] }, line);
}

/** A line that lies in one compartment alone is not split. */
function whole(draft: Draft, line: string): Draft {
    const shares = draft.placements.filter((one) => one.line === line);
    return shares.length === 1
        ? {
              ...draft,
              placements: draft.placements.map((one) => (one.line === line ? { ...one, quantity: null } : one)),
          }
        : draft;
}

/** Splits a line over one more compartment: it gets so many of its pieces, taken from the largest share. */
export function splitLine(draft: Draft, line: string, into: string, pieces: number, inAll: number): Draft {
    const shares = draft.placements.filter((one) => one.line === line);
    const first = shares[0];
    if (!first || shares.some((one) => one.compartment === into) || pieces < 1 || pieces >= inAll) {
        return draft;
    }
    const largest = shares.reduce(
        (most, one) => ((one.quantity ?? inAll) > (most.quantity ?? inAll) ? one : most),
        first,
    );
    const left = (largest.quantity ?? inAll) - pieces;
    if (left < 1) {
        return draft;
    }
    return {
        ...draft,
        placements: [
            ...draft.placements.map((one) =>
                one.line !== line ? one : { ...one, quantity: one === largest ? left : (one.quantity ?? inAll) },
            ),
            { ...first, compartment: into, quantity: pieces },
        ],
    };
}

/** How many pieces of a line lie in a compartment, the others keeping theirs. */
export function setShare(draft: Draft, line: string, compartment: string, quantity: number): Draft {
    const to = quantity < 1 ? null : quantity;
    return whole(
        {
            ...draft,
            placements: draft.placements.flatMap((one) =>
                one.line === line && one.compartment === compartment
                    ? to === null
                        ? []
                        : [{ ...one, quantity: to }]
                    : [one],
            ),
        },
        line,
    );
}

/** Planned: from a day, or from when something begins; asked for now where both are null. */
export function planLine(draft: Draft, line: string, plan: Pick<Placement, 'from_day' | 'waits_for'>): Draft {
    return { ...draft, placements: draft.placements.map((one) => (one.line === line ? { ...one, ...plan } : one)) };
}

/** Earlier or later among the lines of its pocket. */
export function shiftLine(draft: Draft, line: string, compartment: string, by: 1 | -1): Draft {
    const own = linesIn(draft, compartment);
    const one = own.find((placement) => placement.line === line);
    const other = one && own[own.indexOf(one) + by];
    return one && other
        ? {
              ...draft,
              placements: draft.placements.map((placement) =>
                  placement === one ? other : placement === other ? one : placement,
              ),
          }
        : draft;
}

/**
 * Moves a line one step: past its neighbour, at the end of a pocket into the next one, and from outside into the first or last pocket.
 *
 * @return the draft, and the compartment that the line is in now
 */
export function stepLine(
    draft: Draft,
    line: string,
    from: string | null,
    by: 1 | -1,
): { draft: Draft; in: string | null } {
    const pockets = pocketsOf(draft).map(([id]) => id);
    const own = from === null ? [] : linesIn(draft, from);
    const at = own.findIndex((one) => one.line === line);
    if (from !== null && own[at + by] !== undefined) {
        return { draft: shiftLine(draft, line, from, by), in: from };
    }
    const to = from === null ? pockets.at(by === 1 ? 0 : -1) : pockets[pockets.indexOf(from) + by];
    if (to === undefined) {
        return { draft, in: from };
    }
    const moved = from === null ? putLine(draft, line, to) : moveLine(draft, line, from, to);
    const isMoved = (one: Placement) => one.line === line && one.compartment === to;
    const placed = moved.placements.filter(isMoved);
    const others = moved.placements.filter((one) => !isMoved(one));
    // Downwards it comes before the lines of the next pocket, upwards after those of the one before.
    return { draft: { ...moved, placements: by === 1 ? [...placed, ...others] : [...others, ...placed] }, in: to };
}

/** A line that the design adds to its list: pieces of one item. */
export function addLine(
    draft: Draft,
    item: { code: string; name: string },
    taken: string[],
): { draft: Draft; code: string } {
    let number = 1;
    while (taken.includes(`A${number}`) || draft.additions.some((one) => one.code === `A${number}`)) {
        number++;
    }
    const code = `A${number}`;
    return {
        code,
        draft: {
            ...draft,
            additions: [
                ...draft.additions,
                {
                    code,
                    need: item.name,
                    rank: 'required',
                    quantity: 1,
                    total_measure: null,
                    total_quantity: null,
                    accepts: [{ item: item.code, class: null, minima: [], maxima: [] }],
                    reason: null,
                    anyone_may_use: false,
                },
            ],
        },
    };
}

/** Without a line that the design added. */
export function removeLine(draft: Draft, code: string): Draft {
    return {
        ...draft,
        additions: draft.additions.filter((one) => one.code !== code),
        placements: draft.placements.filter((one) => one.line !== code),
        configurations: draft.configurations.map((one) => ({
            ...one,
            lines: one.lines.filter((line) => line !== code),
        })),
        compartments: draft.compartments.map((one) =>
            one.looked_for.includes(code)
                ? { ...one, looked_for: one.looked_for.filter((line) => line !== code) }
                : one,
        ),
    };
}
