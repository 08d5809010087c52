import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Problem } from '../api/client';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Sheet } from '../ui/Page';
import { Search } from '../ui/Search';
import type { EditedItem } from './itemEditing';
import { words } from './words';

interface ItemHandlingProps {
    typed: EditedItem;
    type: (to: EditedItem) => void;
    problem: Problem | null;
    others: (readonly [string, string])[];
}

const layers = ['contact', 'absorb', 'hold'] as const;

/** How an item is handled when one packs, what it is taken for, and what it is called elsewhere. */
export function ItemHandling({ typed, type, problem, others }: ItemHandlingProps) {
    const { handling } = typed;
    const set = (to: Partial<EditedItem['handling']>) => type({ ...typed, handling: { ...handling, ...to } });
    const rows = <T,>(all: T[], at: number, to: Partial<T>) =>
        all.map((row, index) => (index === at ? { ...row, ...to } : row));
    return (
        <>
            <Sheet title={words.whenOnePacks}>
                <Row columns="repeat(2, minmax(0, 1fr))">
                    <Choose
                        label={words.layerOfDressing}
                        value={handling.layer}
                        empty={words.noLayer}
                        onChoose={(layer) => set({ layer: layers.find((one) => one === layer) ?? '' })}
                        options={layers.map((one) => [one, words.layers[one]] as const)}
                    />
                    <Write
                        label={words.staging}
                        value={handling.staging}
                        onWrite={(staging) => set({ staging })}
                        problem={problem?.at('handling.staging')}
                        help={words.suchAsWrapperOff}
                        slotProps={{ htmlInput: { maxLength: 120 } }}
                    />
                    <Write
                        label={words.startMinutes}
                        value={handling.start_minutes}
                        onWrite={(start_minutes) => set({ start_minutes })}
                        problem={problem?.at('handling.start_minutes')}
                        help={words.startMinutesHelp}
                    />
                    <Write
                        label={words.bulk}
                        value={handling.bulk_ml}
                        onWrite={(bulk_ml) => set({ bulk_ml })}
                        problem={problem?.at('handling.bulk_ml')}
                        help={words.bulkHelp}
                    />
                </Row>
                <Box sx={{ display: 'grid', justifyItems: 'start' }}>
                    <Tick label={words.unwraps} checked={handling.unwraps} onTick={(unwraps) => set({ unwraps })} />
                    <Tick
                        label={words.comesBack}
                        checked={handling.comes_back}
                        onTick={(comes_back) => set({ comes_back })}
                    />
                    <Tick
                        label={words.trainsAgain}
                        checked={handling.trains_again}
                        onTick={(trains_again) => set({ trains_again })}
                    />
                    <Tick label={words.keepDry} checked={handling.keep_dry} onTick={(keep_dry) => set({ keep_dry })} />
                    <Tick
                        label={words.hasLatex}
                        checked={handling.has_latex}
                        onTick={(has_latex) => set({ has_latex })}
                    />
                </Box>
            </Sheet>
            <Sheet title={words.takenFor}>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {words.takenForAbout}
                </Typography>
                {handling.told_from.map((row, at) => (
                    <Row key={at} columns="minmax(0, 1fr) minmax(0, 1fr) auto">
                        <Search
                            label={words.takenForItem(at + 1)}
                            value={row.item}
                            options={others}
                            onChoose={(item) => set({ told_from: rows(handling.told_from, at, { item }) })}
                            error={problem?.at(`handling.told_from.${at}.item`) !== undefined}
                            helperText={problem?.at(`handling.told_from.${at}.item`)}
                        />
                        <Write
                            label={words.toldBy(at + 1)}
                            value={row.by ?? ''}
                            onWrite={(by) => set({ told_from: rows(handling.told_from, at, { by }) })}
                            problem={problem?.at(`handling.told_from.${at}.by`)}
                            help={words.suchAsOrangeCap}
                            slotProps={{ htmlInput: { maxLength: 120 } }}
                        />
                        <Button
                            aria-label={words.removeTakenFor(at + 1)}
                            onClick={() => set({ told_from: handling.told_from.filter((_, index) => index !== at) })}
                        >
                            {words.remove2}
                        </Button>
                    </Row>
                ))}
                <Button onClick={() => set({ told_from: [...handling.told_from, { item: '', by: '' }] })}>
                    {words.addTakenFor}
                </Button>
            </Sheet>
            <Sheet title={words.otherNames}>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {words.otherNamesAbout}
                </Typography>
                {handling.names.map((row, at) => (
                    <Row key={at} columns="minmax(0, 1fr) minmax(0, 1fr) auto">
                        <Write
                            label={words.otherName(at + 1)}
                            value={row.name}
                            onWrite={(name) => set({ names: rows(handling.names, at, { name }) })}
                            problem={problem?.at(`handling.names.${at}.name`)}
                            slotProps={{ htmlInput: { maxLength: 80 } }}
                        />
                        <Write
                            label={words.region(at + 1)}
                            value={row.region}
                            onWrite={(region) => set({ names: rows(handling.names, at, { region }) })}
                            problem={problem?.at(`handling.names.${at}.region`)}
                            help={words.regionHelp}
                            slotProps={{ htmlInput: { maxLength: 40 } }}
                        />
                        <Button
                            aria-label={words.removeName(at + 1)}
                            onClick={() => set({ names: handling.names.filter((_, index) => index !== at) })}
                        >
                            {words.remove2}
                        </Button>
                    </Row>
                ))}
                <Button onClick={() => set({ names: [...handling.names, { name: '', region: '' }] })}>
                    {words.addName}
                </Button>
            </Sheet>
        </>
    );
}
