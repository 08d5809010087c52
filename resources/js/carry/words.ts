/** What the page says here, to be read in one go. */
export const words = {
    title: 'How many to carry',
    about: 'For a trip, a deployment or a season: how often each item will be needed, and how many of it are enough with the chance that you ask for.',
    people: 'People',
    days: 'Days',
    each: 'Chance that each item is enough',
    together: 'Chance that all are enough together',
    chanceHelp: 'Above 0 and below 1, such as 0.95',
    covered: 'People whom the records are of',
    coveredHelp: (days: number, people: number) =>
        people === 0
            ? `Your records go over ${days} days. Say of how many people: no assessment is signed.`
            : `Your records go over ${days} days, of ${people} people.`,
    ofList: 'Items of a list',
    allUsed: 'All that was used in the last year',
    calculate: 'Calculate',
    item: 'Item',
    rate: 'Uses in 1,000 person-days',
    expected: 'Uses expected',
    enoughFor: 'Enough for',
    carry: 'Carry',
    chanceHead: 'Chance it is enough',
    own: (uses: number) => `own records, ${uses} uses`,
    between: (least: string, most: string) => `between ${least} and ${most}`,
    starting: 'starting point',
    cannotTell: (uses: number) => `${uses} of 10 uses known: your records cannot tell yet`,
    notNeeded: 'With this chance it is not needed. What a list calls critical is carried all the same.',
    noneKnown: 'no use on record',
    allTogether: (chance: string) => `The chance that all of it is enough together is ${chance}.`,
    commonIs: (each: string, target: string) => `Ask ${each} of each item, and all together reach ${target}.`,
    noCommon: (target: string) =>
        `Even 0.9999 of each item does not reach ${target} together. Carry a reserve, or plan a resupply.`,
    useIt: 'Calculate with that',
    without: (names: string) =>
        `No rate is known for: ${names}. They are not in these figures; tools are carried by count.`,
    nothing: 'No item has a rate here. Choose a list, or record uses first.',
    makeList: 'Make a house list of it',
    makeListAbout:
        'Each row becomes a line with so many pieces. Nothing is confirmed by that: look through the lines, then save.',
    addToDesign: 'Add to a design',
    addToDesignAbout:
        'Of each item, what is more than the design asks for already becomes a line that it adds to its list. Nothing is published by that: put the lines into pockets, look them through, then publish.',
    design: 'Design',
    addLines: 'Add lines',
    nothingMore: 'This design asks for that many of each item already. Nothing was added.',
    listTitle: 'Title',
    listCode: 'Code',
    create: 'Create list',
    basis: (people: number, days: number, each: string) =>
        `Calculated for ${people} people over ${days} days, ${each} for each item`,
    reason: (uses: number, rate: string) => `Enough for ${uses} uses at ${rate} in 1,000 person-days`,
} as const;
