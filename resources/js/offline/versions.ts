/** How work that an older page kept is read by this one: for each kind, from each version to the next. */
type Upgrade = (old: never) => unknown;

interface OldRow {
    lot: string | null;
    expires: string | null;
    added: boolean;
    newLot: boolean;
}

interface OldStep {
    way: string;
    row: { item: string };
}

function inBeforeOut(steps: OldStep[]): unknown[] {
    const ordered = [...steps.filter((step) => step.way === 'in'), ...steps.filter((step) => step.way !== 'in')];
    const before = (item: string) =>
        ordered.flatMap((step, at) => (step.way === 'in' && step.row.item === item ? [at + 1] : []));
    return ordered.map((step, at) => ({
        ...step,
        row: { ...step.row, step: at + 1, ...(step.way === 'in' ? {} : { after: before(step.row.item) }) },
    }));
}

interface OldModule {
    seal: string | null;
    state: string;
}

const upgrades: Record<string, Upgrade[]> = {
    // Checks that were begun before kits had modules ask about none.
    check: [
        (old: { modules?: unknown[] }) => ({ ...old, modules: old.modules ?? [] }),
        // Rows that were begun before lots were settled where they are typed.
        (old: { rows?: OldRow[] }) => ({
            ...old,
            rows: (old.rows ?? []).map((row) => ({
                ...row,
                origin: row.added || row.newLot ? null : { lot: row.lot, expires: row.expires },
                known: null,
                sure: null,
            })),
        }),
        // Rows that were begun before the day of opening was recorded.
        (old: { rows?: object[] }) => ({
            ...old,
            rows: (old.rows ?? []).map((row) => ({ openedOn: null, openedLifeDays: null, ...row })),
        }),
        // Begun before the number of a module's seal was read and typed: what was left closed is asked once more.
        (old: { modules?: OldModule[] }) => ({
            ...old,
            signedBecause: '',
            modules: (old.modules ?? []).map(({ seal, ...module }) => ({
                ...module,
                isSealed: seal !== null,
                state: module.state === 'closed' ? 'unsaid' : module.state,
                sealFound: '',
            })),
        }),
    ],
    // Kits that were entered before several could be made at once.
    equip: [(old: object) => ({ ...old, others: [] })],
    // Work at a store that was begun before there were loans, and before a low price was asked about.
    store: [
        (old: { rows?: object[] }) => ({
            ...old,
            partner: '',
            dueOn: '',
            rows: (old.rows ?? []).map((row) => ({ ...row, isPriceChecked: false })),
        }),
    ],
    // What was taken, said before reports were confirmed and kits handed back.
    use: [(old: object) => ({ ...old, report: null, handsBack: false, signed: '', isBack: {} })],
    // Restocks that were begun before their steps had an order: in before out, and what leaves waits for what goes in of the same item.
    restock: [
        (old: { steps?: OldStep[] }) => ({
            ...old,
            stays: [],
            notAdvised: [],
            steps: inBeforeOut(old.steps ?? []),
        }),
        // Restocks that were begun before there were rounds.
        (old: object) => ({ ...old, round: null }),
    ],
};

/** The version that this page writes: one more than there are upgrades. */
export function versionOf(kind: string): number {
    return (upgrades[kind]?.length ?? 0) + 1;
}

/** As this page has it; undefined where a newer page kept it, which this one cannot read. */
export function upgraded(kind: string, version: number, value: unknown): unknown {
    if (version > versionOf(kind)) {
        return undefined;
    }
    return (upgrades[kind] ?? []).slice(version - 1).reduce<unknown>((old, upgrade) => upgrade(old as never), value);
}
