import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import type { Schemas } from '../api/client';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Group } from '../ui/Group';
import { Sheet } from '../ui/Page';
import { Figure } from './Figure';
import {
    changeCompartment,
    inside,
    partsOf,
    pathOf,
    removeCompartment,
    shiftCompartment,
    type Compartment,
    type Draft,
} from './packing';
import { LookedFor } from './LookedFor';
import { Switched } from './Switched';
import { propertyWords } from '../ui/words';
import { words } from './words';

interface CompartmentSheetProps {
    draft: Draft;
    one: Compartment;
    lines: ReadonlyMap<string, Schemas['ForeseenLine']>;
    designs: ReadonlyMap<string, string>;
    change: (to: (draft: Draft) => Draft, what?: string) => void;
    /** What was just added is named at once. */
    isNew: boolean;
    onAddInside: () => void;
    onRemoved: () => void;
}

const kinds = ['pocket', 'pouch', 'slot'] as const;
const closures = ['zip', 'buckle', 'flap', 'lid', 'drawstring'] as const;
const properties = ['heavy_when_open', 'sharps', 'waterproof', 'rigid', 'exposed_to_rain', 'take_first'] as const;

/** One part, pocket, pouch or slot of a design: what it is called, where it is drawn, what closes it, what it may carry. */
export function CompartmentSheet({
    draft,
    one,
    lines,
    designs,
    change,
    isNew,
    onAddInside,
    onRemoved,
}: CompartmentSheetProps) {
    const isPart = one.kind === 'leaf';
    const set = (to: Partial<Compartment>, what?: string) =>
        change((now) => changeCompartment(now, one.id, to), what === undefined ? undefined : `${one.id} ${what}`);
    const beside = draft.compartments.filter((other) => other.parent_id === one.parent_id);
    const at = beside.findIndex((other) => other.id === one.id);
    const parents = draft.compartments.filter(
        (other) =>
            other.id !== one.id &&
            other.kind !== 'slot' &&
            (other.parent_id === null || partsOf(draft).some((part) => part.id === other.parent_id)) &&
            !inside(draft, one.id).some((inner) => inner.id === other.id) &&
            (other.parent_id === null || inside(draft, one.id).length === 0),
    );
    return (
        <Sheet title={isPart ? words.part : words.kinds[one.kind]}>
            <Name key={one.id} isNew={isNew} value={one.name} onWrite={(name) => set({ name }, 'name')} />
            {!isPart && (
                <Row columns="repeat(2, minmax(0, 1fr))">
                    <Choose
                        label={words.kind}
                        size="small"
                        value={one.kind}
                        onChoose={(kind) => {
                            const to = kinds.find((known) => known === kind) ?? 'pocket';
                            set({
                                kind: to,
                                slot_design: to === 'slot' ? (one.slot_design ?? [...designs.keys()][0] ?? null) : null,
                            });
                        }}
                        options={kinds.map((kind) => [kind, words.kinds[kind]] as const)}
                    />
                    <Choose
                        label={words.liesIn}
                        size="small"
                        value={one.parent_id ?? ''}
                        onChoose={(parent_id) => set({ parent_id })}
                        options={parents.map((other) => [other.id, pathOf(draft, other.id)] as const)}
                    />
                    {one.kind === 'slot' && (
                        <Choose
                            label={words.moduleDesign}
                            size="small"
                            value={one.slot_design ?? ''}
                            onChoose={(slot_design) => set({ slot_design })}
                            options={[...designs]}
                        />
                    )}
                </Row>
            )}
            {one.kind === 'slot' && <Switched draft={draft} what="slots" of={one.id} change={change} />}
            <Row columns="repeat(2, minmax(0, 1fr))">
                <Choose
                    label={words.closure}
                    size="small"
                    value={one.closure ?? ''}
                    empty={words.open}
                    onChoose={(closure) => set({ closure: closures.find((known) => known === closure) ?? null })}
                    options={closures.map((closure) => [closure, words.closures[closure]] as const)}
                />
                {!isPart && (
                    <Figure
                        label={words.maxMass}
                        value={one.max_mass_g}
                        isWeight
                        onFigure={(max_mass_g) => set({ max_mass_g }, 'mass')}
                    />
                )}
                {!isPart && (
                    <Figure
                        label={words.volume}
                        value={one.volume_ml}
                        onFigure={(volume_ml) => set({ volume_ml }, 'volume')}
                    />
                )}
            </Row>
            <Write
                label={words.caution}
                size="small"
                fullWidth
                value={one.caution ?? ''}
                onWrite={(caution) => set({ caution: caution === '' ? null : caution }, 'caution')}
                help={words.cautionHelp}
                slotProps={{ htmlInput: { maxLength: 200 } }}
            />
            <Group legend={words.properties}>
                <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))' }}>
                    <Tick label={words.isOutside} checked={one.outside} onTick={(outside) => set({ outside })} />
                    {!isPart && (
                        <Tick label={words.isSealed} checked={one.sealed} onTick={(sealed) => set({ sealed })} />
                    )}
                    {properties.map((property) => (
                        <Tick
                            key={property}
                            label={propertyWords[property]}
                            checked={one.properties.includes(property)}
                            onTick={(on) =>
                                set({
                                    properties: properties.filter((known) =>
                                        known === property ? on : one.properties.includes(known),
                                    ),
                                })
                            }
                        />
                    ))}
                </Box>
            </Group>
            {(one.kind === 'pocket' || one.kind === 'pouch') && (
                <LookedFor draft={draft} one={one} lines={lines} set={set} />
            )}
            {!isPart && one.parent_id !== null && partsOf(draft).some((part) => part.id === one.parent_id) && (
                <Row columns="repeat(4, minmax(0, 1fr))">
                    <Figure
                        label={words.row}
                        value={one.row}
                        isNeeded
                        most={30}
                        onFigure={(row) => set({ row: row ?? 1 }, 'row')}
                    />
                    <Figure
                        label={words.column}
                        value={one.column}
                        isNeeded
                        most={12}
                        onFigure={(column) => set({ column: column ?? 1 }, 'column')}
                    />
                    <Figure
                        label={words.rowSpan}
                        value={one.row_span}
                        isNeeded
                        most={12}
                        onFigure={(span) => set({ row_span: span ?? 1 }, 'rows')}
                    />
                    <Figure
                        label={words.columnSpan}
                        value={one.column_span}
                        isNeeded
                        most={12}
                        onFigure={(span) => set({ column_span: span ?? 1 }, 'columns')}
                    />
                </Row>
            )}
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 2 }}>
                <Button
                    size="small"
                    disabled={at <= 0}
                    onClick={() => change((now) => shiftCompartment(now, one.id, -1))}
                >
                    {words.earlier}
                </Button>
                <Button
                    size="small"
                    disabled={at === beside.length - 1}
                    onClick={() => change((now) => shiftCompartment(now, one.id, 1))}
                >
                    {words.later}
                </Button>
                {one.kind === 'pocket' && partsOf(draft).some((part) => part.id === one.parent_id) && (
                    <Button size="small" onClick={onAddInside}>
                        {words.addPouchInside}
                    </Button>
                )}
                <Button
                    size="small"
                    color="error"
                    onClick={() => {
                        onRemoved();
                        change((now) => removeCompartment(now, one.id));
                    }}
                >
                    {words.removePocket(one.name)}
                </Button>
            </Box>
        </Sheet>
    );
}

function Name({ value, isNew, onWrite }: { value: string; isNew: boolean; onWrite: (name: string) => void }) {
    const field = useRef<HTMLInputElement>(null);
    useEffect(() => {
        if (isNew) {
            field.current?.focus();
            field.current?.select();
        }
    }, [isNew]);
    return (
        <Write
            label={words.name}
            size="small"
            fullWidth
            inputRef={field}
            value={value}
            onWrite={onWrite}
            slotProps={{ htmlInput: { maxLength: 60 } }}
        />
    );
}
