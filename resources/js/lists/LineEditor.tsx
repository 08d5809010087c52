import { useQuery } from '@tanstack/react-query';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Problem } from '../api/client';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Search, type Choice } from '../ui/Search';
import { questions } from '../api/queries';
import { useSettled } from '../ui/useSettled';
import { freshEntry, minima, type EditedEntry, type EditedLine } from './editing';
import { words } from './words';

interface LineEditorProps {
    line: EditedLine;
    at: number;
    /** The whole catalogue. */
    items: readonly Choice[];
    problem: Problem | null;
    isFirst: boolean;
    isLast: boolean;
    onChange: (to: EditedLine) => void;
    onRemove: () => void;
    onMove: (by: -1 | 1) => void;
}

const ranks = [
    ['critical', 'critical'],
    ['required', 'required'],
    ['optional', 'optional'],
] as const;

/** One line: its need, rank, how much of it, and what serves it in order of preference. */
export function LineEditor({ line, at, items, problem, isFirst, isLast, onChange, onRemove, onMove }: LineEditorProps) {
    const wrong = (field: string) =>
        Object.entries(problem?.errors ?? {}).find(([key]) => key === `lines.${at}.${field}`)?.[1][0];
    const accepts = (entries: EditedEntry[]) => onChange({ ...line, accepts: entries });
    const name = line.need || words.line(at + 1);
    return (
        <Box component="section" aria-label={name} sx={{ borderTop: 1, borderColor: 'divider', pt: 3, pb: 3 }}>
            <Row columns="minmax(0, 3fr) minmax(0, 1.2fr) minmax(0, 1.2fr) minmax(0, 1.6fr)">
                <Write
                    label={words.need(at + 1)}
                    value={line.need}
                    onWrite={(need) => onChange({ ...line, need })}
                    problem={wrong('need')}
                />
                <Choose
                    label={words.rank}
                    value={line.rank}
                    onChoose={(rank) =>
                        onChange({ ...line, rank: ranks.find(([one]) => one === rank)?.[0] ?? 'required' })
                    }
                    options={ranks}
                />
                <Choose
                    label={words.asksFor2}
                    value={line.asks}
                    onChoose={(asks) => onChange({ ...line, asks: asks === 'total' ? 'total' : 'pieces' })}
                    options={[
                        ['pieces', 'pieces'],
                        ['total', words.aMeasureInAll],
                    ]}
                />
                {line.asks === 'pieces' ? (
                    <Write
                        label={words.howMany}
                        value={line.quantity}
                        onWrite={(quantity) => onChange({ ...line, quantity })}
                        problem={wrong('quantity')}
                        slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                    />
                ) : (
                    <Box sx={{ display: 'flex', gap: 2 }}>
                        <Write
                            label={words.measure3}
                            value={line.measure}
                            onWrite={(measure) => onChange({ ...line, measure })}
                            problem={wrong('total_measure')}
                        />
                        <Write
                            label={words.inAll2}
                            value={line.total}
                            onWrite={(total) => onChange({ ...line, total })}
                            problem={wrong(`total.${line.measure}`) ?? wrong('total_quantity') ?? wrong('total')}
                            help={words.suchAs25Yd}
                        />
                    </Box>
                )}
            </Row>
            {line.accepts.map((entry, place) => (
                <Row key={place} columns="minmax(0, 1fr) minmax(0, 2.4fr) minmax(0, 2fr) auto">
                    <Choose
                        label={place === 0 ? words.firstChoice : words.choice(place + 1)}
                        value={entry.kind}
                        onChoose={(kind) =>
                            accepts(replace(line.accepts, place, { kind: kind === 'class' ? 'class' : 'item' }))
                        }
                        options={[
                            ['item', 'item'],
                            ['class', 'class'],
                        ]}
                    />
                    {entry.kind === 'item' ? (
                        <Search
                            label={words.itemFor(name)}
                            value={entry.item}
                            onChoose={(item) => accepts(replace(line.accepts, place, { item }))}
                            options={items}
                            error={wrong(`accepts.${place}.item`) !== undefined || wrong('accepts') !== undefined}
                            helperText={wrong(`accepts.${place}.item`) ?? (place === 0 ? wrong('accepts') : undefined)}
                        />
                    ) : (
                        <Write
                            label={words.classFor(name)}
                            value={entry.class}
                            onWrite={(named) => accepts(replace(line.accepts, place, { class: named }))}
                            problem={wrong(`accepts.${place}.class`)}
                            slotProps={{ htmlInput: { list: 'known-classes' } }}
                        />
                    )}
                    {entry.kind === 'class' ? (
                        <Write
                            label={words.ofAtLeast}
                            value={entry.least}
                            onWrite={(least) => accepts(replace(line.accepts, place, { least }))}
                            problem={leastProblem(problem, at, place)}
                            help={<Accepts named={entry.class} least={entry.least} />}
                        />
                    ) : (
                        <span />
                    )}
                    <Box sx={{ display: 'flex', gap: 2 }}>
                        {place > 0 && (
                            <Button
                                aria-label={words.earlierChoiceOf(place + 1, name)}
                                onClick={() => {
                                    const entries = [...line.accepts];
                                    entries.splice(place - 1, 0, ...entries.splice(place, 1));
                                    accepts(entries);
                                }}
                            >
                                {words.earlier}
                            </Button>
                        )}
                        <Button
                            disabled={line.accepts.length === 1}
                            aria-label={words.removeChoiceOf(place + 1, name)}
                            onClick={() => accepts(line.accepts.filter((_, index) => index !== place))}
                        >
                            {words.remove2}
                        </Button>
                    </Box>
                </Row>
            ))}
            <Tick
                label={words.anyoneMayUse}
                checked={line.anyoneMayUse}
                onTick={(anyoneMayUse) => onChange({ ...line, anyoneMayUse })}
            />
            <Write
                label={words.reasonFor(name)}
                value={line.reason}
                onWrite={(reason) => onChange({ ...line, reason })}
                problem={wrong('reason')}
                help={words.whyTheKitCarriesIt}
            />
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 2 }}>
                <Button size="small" onClick={() => accepts([...line.accepts, freshEntry])}>
                    {words.addAnAlternative}
                </Button>
                <Button size="small" disabled={isFirst} onClick={() => onMove(-1)} aria-label={`Up: ${name}`}>
                    {words.up}
                </Button>
                <Button size="small" disabled={isLast} onClick={() => onMove(1)} aria-label={words.down(name)}>
                    {words.down2}
                </Button>
                <Button size="small" variant="text" onClick={onRemove} aria-label={words.removeThisLine(name)}>
                    {words.removeThisLine2}
                </Button>
            </Box>
        </Box>
    );
}

/** What a line by this class takes of the catalogue as it is now, before anybody saves it. */
function Accepts({ named, least }: { named: string; least: string }) {
    const asked = useSettled(`${named.trim()}|${least}`);
    const [of = '', measures = ''] = asked.split('|');
    const { data } = useQuery({
        ...questions.accepted(of, minima(measures)),
        enabled: /^[a-z0-9][a-z0-9.-]*$/.test(of),
    });
    if (!data) {
        return <>{words.width10CmHeight4}</>;
    }
    const shown = data.slice(0, 4).map((one) => one.name);
    const more = data.length - shown.length;
    return (
        <>
            {data.length === 0
                ? words.acceptsNothingYet
                : words.acceptsNow([...shown, ...(more > 0 ? [words.andMore(String(more))] : [])].join('; '))}
        </>
    );
}

function replace(entries: EditedEntry[], at: number, to: Partial<EditedEntry>): EditedEntry[] {
    return entries.map((entry, index) => (index === at ? { ...entry, ...to } : entry));
}

function leastProblem(problem: Problem | null, at: number, place: number): string | undefined {
    const begins = [`lines.${at}.accepts.${place}.min.`, `lines.${at}.accepts.${place}.minima.`];
    return Object.entries(problem?.errors ?? {}).find(([field]) =>
        begins.some((begin) => field.startsWith(begin)),
    )?.[1][0];
}
