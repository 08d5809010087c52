/** Billionths of a gram in one of each unit, exact: 1 oz = 28.349523125 g, 1 lb = 16 oz. */
const UNITS: Record<string, bigint> = {
    g: 1_000_000_000n,
    kg: 1_000_000_000_000n,
    oz: 28_349_523_125n,
    lb: 453_592_370_000n,
};

/** Reads a weight such as "4 kg", "9.5 lb" or "800" (grams) as whole grams, half up; undefined where it is no weight. */
export function gramsOf(text: string): number | undefined {
    const parts = /^(\d{1,7})(?:[.,](\d{1,4}))?\s*(g|kg|oz|lb)?$/i.exec(text.trim());
    const unit = UNITS[(parts?.[3] ?? 'g').toLowerCase()];
    if (!parts || unit === undefined) {
        return undefined;
    }
    const decimals = parts[2] ?? '';
    const scale = 1_000_000_000n * 10n ** BigInt(decimals.length);
    return Number((BigInt(`${parts[1]}${decimals}`) * unit * 2n + scale) / (scale * 2n));
}
