import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { vi } from 'vitest';
import type { Schemas } from '../api/client';
import { Editor } from '../design/Editor';
import type { Compartment, Draft, Packing } from '../design/packing';
import { usePacking } from '../design/usePacking';
import { answer, serve, type Sent } from './server';
import { show } from './show';

export function pocket(id: string, name: string, to: Partial<Compartment> = {}): Compartment {
    return {
        id,
        parent_id: 'main',
        kind: 'pocket',
        name,
        row: 1,
        column: 1,
        row_span: 1,
        column_span: 1,
        closure: null,
        outside: false,
        sealed: false,
        caution: null,
        properties: [],
        slot_design: null,
        max_mass_g: null,
        volume_ml: null,
        looked_for: [],
        ...to,
    };
}

export const draft: Draft = {
    list_id: 'list',
    policy: {
        empty_mass_g: 500,
        max_mass_g: null,
        max_volume_ml: null,
        max_cost: null,
        expiry: 'strict',
        margin_days: 14,
        grace_days: 0,
        every_unit: 'weeks',
        every_count: 12,
        before_events: false,
        after_use: true,
        sealed: false,
        latex_free: false,
        wrappers: null,
        not_ready_after_days: null,
    },
    modules: [],
    seasons: [],
    compartments: [
        pocket('main', 'Main', { parent_id: null, kind: 'leaf' }),
        pocket('front', 'Front'),
        pocket('back', 'Back', { column: 2 }),
    ],
    placements: [{ line: 'L1', compartment: 'front', quantity: null, from_day: null, waits_for: null }],
    additions: [],
    configurations: [{ name: 'Lantern evening', lines: [], slots: [] }],
    set_aside: [],
};

export const packing: Packing = {
    design: 'd1',
    id: 'd1',
    edition: 'first',
    base: 'e1',
    number: 1,
    name: 'Walk pouch',
    serves: null,
    draft,
};

export const line = (code: string, name: string, pieces: number) => ({
    code,
    need: `Need of ${code}`,
    rank: 'required',
    added: false,
    required: String(pieces),
    pieces,
    item: code,
    item_name: name,
    class: 'tape',
    caution: null,
    mass_g: 10 * pieces,
    start_minutes: null,
});

export function foresee(sent: Draft, to: Partial<Schemas['ForesightResource']> = {}) {
    const placed = sent.placements.map((one) => one.line);
    return {
        list: {},
        currency: 'GBP',
        faults: ['L1', 'L2'].filter((code) => !placed.includes(code)).map((code) => `${code} has no pocket.`),
        lines: [line('L1', 'Zinc oxide tape', 6), line('L2', 'Shears', 1)],
        loads: [
            {
                compartment: null,
                mass_g: 570,
                max_mass_g: 560,
                bulk_ml: 90,
                volume_ml: 50,
                without_bulk: 1,
                cost: 450,
                max_cost: 400,
                without_price: 0,
                reach: 0,
            },
            {
                compartment: 'front',
                mass_g: 60,
                max_mass_g: null,
                bulk_ml: 90,
                volume_ml: null,
                without_bulk: 0,
                cost: 450,
                max_cost: null,
                without_price: 0,
                reach: 2,
            },
        ],
        advice: [
            {
                about: 'start_early L1',
                kind: 'start_early',
                text: 'Start it early.',
                line: 'L1',
                compartment: null,
                set_aside: null,
            },
        ],
        leave_out: [
            {
                line: 'L2',
                item: 'L2',
                text: '1 × Shears',
                mass_g: 10,
                bulk_ml: null,
                cost: 240,
                hazards: ['bites and stings in Glasshouses'],
                missed: [
                    { id: 'm1', text: 'Left behind on 3 May 2026, then missed: No way to cut', by: 'Maren Oduya' },
                ],
            },
        ],
        ...to,
    };
}

export const sentDraft = (sent: Sent) => (sent.body as { draft: Draft }).draft;

/** A server that looks a draft through, and answers what else is asked as it is told. */
export function packAt(more: (sent: Sent) => Response | undefined = () => undefined): Sent[] {
    return serve((sent) => {
        const own = more(sent);
        if (own) {
            return own;
        }
        if (sent.path === '/api/designs/foresight') {
            return answer(foresee(sentDraft(sent)));
        }
        if (sent.path.endsWith('/effects')) {
            return answer({ kits: [], in_all: 0, currency: 'GBP' });
        }
        return answer(sent.path === '/api/organisation' ? { currency: 'GBP' } : []);
    });
}

export function Packs({ onPublished }: { onPublished: (design: string) => void }) {
    return (
        <Editor hands={usePacking('packing.test', packing)} onPublished={onPublished} onDiscarded={() => undefined} />
    );
}

export async function begin(more?: (sent: Sent) => Response | undefined) {
    const sent = packAt(more);
    const onPublished = vi.fn();
    show(<Packs onPublished={onPublished} />, ['plan']);
    await screen.findAllByText('Zinc oxide tape');
    return { sent, onPublished, person: userEvent.setup() };
}

export const chip = (name: RegExp) =>
    screen.getAllByRole('button', { name }).find((one) => one.matches('[data-line]')) ??
    screen.getByRole('button', { name });
export const inPocket = (name: string) =>
    [...document.querySelectorAll(`[data-pocket="${name}"] [data-line]`)].map((one) => one.getAttribute('data-line'));
