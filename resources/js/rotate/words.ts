/** What the page says here, to be read in one go. */
export const words = {
    title: 'Move to where it is used',
    about: 'What would expire unused in a quiet kit goes to a busy one, and a piece of later date comes back for it. By what was used in the last year.',
    datesAhead: 'Dates ahead',
    print: 'Print',
    nothingSaved: 'Nothing would be saved by moving pieces today.',
    saves: (pieces: string, money: string) =>
        `${pieces} would be used that expire unused where they are, worth ${money}.`,
    stillWasted: (pieces: string) =>
        `${pieces} of these items expire unused all the same, or never expire where none are used.`,
    agreedBy: (by: string, day: string, left: number, all: number) =>
        `Agreed by ${by} on ${day}. ${left} of ${all} moves are left to do.`,
    leftOut:
        'Left out: what a critical line takes, kits that are closed by a seal, and pieces that would expire before the next check of the kit they come to.',
    proposed: 'What would move',
    toCarryOut: 'What moves',
    noMoves: 'No piece has to move. Come back when more was used, or when dates come nearer.',
    lot: (lot: string) => `lot ${lot}`,
    noLot: 'no lot number',
    expires: (day: string) => `expires ${day}`,
    from: 'From',
    to: 'to',
    done: 'Moved',
    dropped: 'Left out',
    agree: 'Carry out this plan',
    moved: 'Moved',
    moveOf: (pieces: number, name: string, from: string, to: string) => `${pieces} × ${name} from ${from} to ${to}`,
    recordMove: 'Record move',
    floatAbout: (from: string) =>
        `If ${from} still waits for pieces in exchange, as many from the store stand in until they come: put those in now. Where the store has none, ${from} is judged short meanwhile.`,
    leaveOut: 'Leave out',
    leaveOutOf: (name: string, from: string) => `Leave out: ${name} from ${from}`,
    why: 'Why',
    suchAs: 'Such as: they were used meanwhile.',
    endPlan: 'End this plan',
    endAbout: 'What was moved stays moved. What is left to do is not done, and a new plan can be made.',
} as const;
