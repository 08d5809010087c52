import type { Schemas } from '../api/client';

/** An item as it is typed. Lists of measures, packs and companions have one row each. */
export interface EditedItem {
    code: string;
    name: string;
    class: string;
    count_unit: 'each' | 'pair' | 'roll';
    dated: boolean;
    sterile: boolean;
    mass: string;
    scope: Schemas['WrittenItem']['scope'];
    reserve: boolean;
    purpose: string;
    caution: string;
    allergy: string;
    superseded_by: string;
    storage_min_c: string;
    storage_max_c: string;
    opened_life: string;
    opened_life_unit: 'days' | 'weeks' | 'months';
    measures: { measure: string; quantity: string }[];
    packs: { pieces: string; price: string }[];
    needs: { any_of: string[]; per: 'kit' | 'each'; quantity: string; reason: string }[];
    stand_ins: string[];
    only_for_trained: boolean;
    never_for: string;
    handling: {
        layer: '' | 'contact' | 'absorb' | 'hold';
        start_minutes: string;
        staging: string;
        unwraps: boolean;
        keep_dry: boolean;
        has_latex: boolean;
        bulk_ml: string;
        comes_back: boolean;
        trains_again: boolean;
        told_from: { item: string; by: string | null }[];
        names: { name: string; region: string }[];
    };
}

export const freshItem: EditedItem = {
    code: '',
    name: '',
    class: '',
    count_unit: 'each',
    dated: true,
    sterile: false,
    mass: '',
    scope: 'anyone',
    reserve: true,
    purpose: '',
    caution: '',
    allergy: '',
    superseded_by: '',
    storage_min_c: '',
    storage_max_c: '',
    opened_life: '',
    opened_life_unit: 'months',
    measures: [],
    packs: [{ pieces: '1', price: '' }],
    needs: [],
    stand_ins: [],
    only_for_trained: false,
    never_for: '',
    handling: {
        layer: '',
        start_minutes: '',
        staging: '',
        unwraps: false,
        keep_dry: false,
        has_latex: false,
        bulk_ml: '',
        comes_back: false,
        trains_again: false,
        told_from: [],
        names: [],
    },
};

export function itemOf(item: Schemas['ItemResource']): EditedItem {
    const figure = (value: number | null) => (value === null ? '' : String(value));
    return {
        code: item.code,
        name: item.name,
        class: item.class,
        count_unit: item.count_unit,
        dated: item.dated,
        sterile: item.sterile,
        mass: `${item.mass_g} g`,
        scope: item.scope,
        reserve: item.reserve,
        purpose: item.purpose,
        caution: item.caution ?? '',
        allergy: item.allergy ?? '',
        superseded_by: item.superseded_by_code ?? '',
        storage_min_c: figure(item.storage_min_c),
        storage_max_c: figure(item.storage_max_c),
        opened_life: figure(item.opened_life),
        opened_life_unit: item.opened_life_unit ?? 'months',
        measures: item.measures.map(({ measure, quantity }) => ({ measure, quantity })),
        packs: item.packs.map(({ pieces, price }) => ({
            pieces: String(pieces),
            price: price === null ? '' : (price / 100).toFixed(2),
        })),
        needs: item.needs.map((need) => ({
            any_of: need.codes,
            per: need.per,
            quantity: String(need.quantity),
            reason: need.reason,
        })),
        stand_ins: item.stand_ins.map((one) => one.code),
        only_for_trained: item.only_for_trained,
        never_for: item.never_for.join(', '),
        handling: {
            layer: item.handling.layer ?? '',
            start_minutes: figure(item.handling.start_minutes),
            staging: item.handling.staging ?? '',
            unwraps: item.handling.unwraps,
            keep_dry: item.handling.keep_dry,
            has_latex: item.handling.has_latex,
            bulk_ml: figure(item.handling.bulk_ml),
            comes_back: item.handling.comes_back,
            trains_again: item.handling.trains_again,
            told_from: item.handling.told_from.map(({ item: code, by }) => ({ item: code, by })),
            names: item.handling.names.map(({ name, region }) => ({ name, region: region ?? '' })),
        },
    };
}

const whole = (typed: string) => (/^-?\d+$/.test(typed.trim()) ? Number(typed) : null);

/** What is no figure is sent as one that the server refuses. */
const optional = (typed: string) => (typed.trim() === '' ? null : (whole(typed) ?? -1));

/** "4.50" as 450; what is no price is sent as one that the server refuses. */
function minor(typed: string): number | null {
    const text = typed.trim().replace(',', '.');
    if (text === '') {
        return null;
    }
    const parts = /^(\d+)(?:\.(\d{1,2}))?$/.exec(text);
    return parts ? Number(parts[1]) * 100 + Number((parts[2] ?? '').padEnd(2, '0')) : -1;
}

export function itemToSend(typed: EditedItem, base: number | null): Schemas['WrittenItem'] {
    return {
        ...typed,
        ...(base === null ? {} : { base }),
        code: typed.code.trim(),
        class: typed.class.trim(),
        caution: typed.caution.trim() || null,
        allergy: typed.allergy.trim() || null,
        superseded_by: typed.superseded_by || null,
        storage_min_c: whole(typed.storage_min_c),
        storage_max_c: whole(typed.storage_max_c),
        opened_life: whole(typed.opened_life),
        opened_life_unit: typed.opened_life.trim() === '' ? null : typed.opened_life_unit,
        measures: typed.measures.map(({ measure, quantity }) => ({
            measure: measure.trim().toLowerCase(),
            quantity: quantity.trim(),
        })),
        packs: typed.packs.map(({ pieces, price }) => ({ pieces: whole(pieces) ?? 0, price: minor(price) })),
        needs: typed.needs.map((need) => ({ ...need, quantity: whole(need.quantity) ?? 0 })),
        never_for: typed.never_for
            .split(',')
            .map((part) => part.trim())
            .filter((part) => part !== ''),
        handling: {
            ...typed.handling,
            layer: typed.handling.layer === '' ? null : typed.handling.layer,
            start_minutes: optional(typed.handling.start_minutes),
            staging: typed.handling.staging.trim() || null,
            bulk_ml: optional(typed.handling.bulk_ml),
            told_from: typed.handling.told_from.map(({ item, by }) => ({ item, by: by?.trim() || null })),
            names: typed.handling.names.map(({ name, region }) => ({
                name: name.trim(),
                region: region.trim() || null,
            })),
        },
    };
}
