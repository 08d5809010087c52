/** Says a chance as a whole per cent, and never as certain. */
export function sayChance(chance: string): string {
    const percent = Math.round(Number(chance) * 100);
    return percent >= 100 ? 'over 99 %' : percent < 1 ? 'under 1 %' : `${percent} %`;
}

/** The strings of this area of the page. */
export const words = {
    title: 'How many to carry',
    about: 'For a trip, a deployment or a season. You never carry less than your list asks for.',
    list: 'List',
    listPlaceholder: 'Choose a list',
    listHelp: 'The list that is carried at least.',
    chooseAList: 'Choose the list for this trip. It sets the minimum for each item.',
    people: 'People',
    days: 'Days',
    setting: 'Setting',
    settings: [
        ['workplace', 'Workplace'],
        ['school', 'School or nursery'],
        ['sport', 'Sport'],
        ['trip', 'Trip or expedition'],
        ['event', 'Event'],
    ] as const,
    moreQuestions: 'Chances and own records',
    each: 'Chance that each item is enough',
    together: 'Chance that nothing runs short',
    chanceHelp: 'Above 0 and below 1, such as 0.95',
    covered: 'People in your records',
    coveredHelp: (days: number, people: number) =>
        people === 0
            ? `Your records cover ${days} days. Enter for how many people. No assessment of this setting is signed.`
            : `Your records cover ${days} days and ${people} people.`,
    calculate: 'Calculate',
    carryInAll: (lines: string, pieces: string) => `Carry ${pieces} on ${lines}`,
    nothingRunsShort: (chance: string) => `Chance that nothing runs short: ${chance}.`,
    notScaled: 'This list does not say for how many people and days it is made. Its quantities are not scaled.',
    line: 'Line',
    noItem: 'Nothing in the catalogue serves this line',
    critical: 'critical',
    carry: 'Carry',
    decides: 'What decides',
    fromList: 'From your list',
    fromListScaled: (listed: number) => `From your list: ${listed} scaled to this trip`,
    fromUses: (uses: string, list: number) => `From uses: enough for ${uses}. Your list asks for ${list}.`,
    chanceHead: 'Chance it is enough',
    countedOnly: 'by count',
    countedOnlyAbout: 'Lines without a rate are carried by count, as your list asks.',
    basisTitle: 'What the figures rest on',
    weight: (personDays: string) =>
        `The rate of the setting weighs as much as ${personDays} person-days of your records.`,
    item: 'Item',
    settingRate: 'Rate of the setting',
    ownUses: 'Own uses',
    between: (least: string, most: string) => `${least} to ${most} in 1,000`,
    ownShare: 'Share of own records',
    rate: 'Uses in 1,000 person-days',
    expected: 'Uses expected',
    commonIs: (each: string, target: string) => `Ask ${each} of each item to reach ${target} for all of them.`,
    noCommon: (target: string) =>
        `No chance for each item reaches ${target} for all. Carry a reserve or plan a resupply.`,
    useIt: 'Calculate with that',
    makeList: 'Make a house list',
    makeListAbout:
        'Copies every line of the list with these quantities. Nothing is confirmed. Read the lines through, then save.',
    addToDesign: 'Add to a design',
    addToDesignAbout:
        'Items that the design is short of become added lines. Nothing is published. Put the lines into pockets, read them through, then publish.',
    design: 'Design',
    addLines: 'Add lines',
    nothingMore: 'This design already asks for that many of each item. Nothing was added.',
    listTitle: 'Title',
    listCode: 'Code',
    create: 'Create list',
    basis: (people: number, days: number, setting: string) =>
        `Calculated for ${people} people and ${days} days. Setting: ${setting}.`,
    reason: (uses: number, rate: string | null) =>
        rate === null ? 'As the list asks' : `Enough for ${uses} uses at ${rate} in 1,000 person-days`,
} as const;
