import { useQuery } from '@tanstack/react-query';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Problem } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Row, Write } from '../ui/Fields';
import { Search, type Choice } from '../ui/Search';
import { useSettled } from '../ui/useSettled';
import { limits, type EditedEntry } from './editing';
import { KNOWN_CLASSES } from './KnownClasses';
import { words } from './words';

interface AcceptsEditorProps {
    entries: EditedEntry[];
    /** Of the line or the need that they serve. */
    name: string;
    /** The whole catalogue. */
    items: readonly Choice[];
    problem: Problem | null;
    /** Where errors of that line or need begin, such as "lines.3". */
    at: string;
    onChange: (to: EditedEntry[]) => void;
}

/** What serves a line of a list or a need of an emergency: items and classes, the first choice first. */
export function AcceptsEditor({ entries, name, items, problem, at, onChange }: AcceptsEditorProps) {
    const wrong = (field: string) =>
        Object.entries(problem?.errors ?? {}).find(([key]) => key === `${at}.${field}`)?.[1][0];
    return (
        <>
            {entries.map((entry, place) => (
                <Row key={place} columns="minmax(0, 1fr) minmax(0, 2.4fr) minmax(0, 2fr) auto">
                    <Choose
                        label={place === 0 ? words.firstChoice : words.choice(place + 1)}
                        value={entry.kind}
                        onChoose={(kind) =>
                            onChange(replace(entries, place, { kind: kind === 'class' ? 'class' : 'item' }))
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
                            onChoose={(item) => onChange(replace(entries, place, { item }))}
                            options={items}
                            error={wrong(`accepts.${place}.item`) !== undefined || wrong('accepts') !== undefined}
                            helperText={wrong(`accepts.${place}.item`) ?? (place === 0 ? wrong('accepts') : undefined)}
                        />
                    ) : (
                        <Write
                            label={words.classFor(name)}
                            value={entry.class}
                            onWrite={(named) => onChange(replace(entries, place, { class: named }))}
                            problem={wrong(`accepts.${place}.class`)}
                            slotProps={{ htmlInput: { list: KNOWN_CLASSES } }}
                        />
                    )}
                    {entry.kind === 'class' ? (
                        <Box>
                            <Write
                                label={words.ofAtLeast}
                                value={entry.least}
                                onWrite={(least) => onChange(replace(entries, place, { least }))}
                                problem={limitProblem(problem, at, place, ['min', 'minima'])}
                            />
                            <Write
                                label={words.ofAtMost}
                                value={entry.most ?? ''}
                                onWrite={(most) => onChange(replace(entries, place, { most }))}
                                problem={limitProblem(problem, at, place, ['max', 'maxima'])}
                                help={<Accepts named={entry.class} least={entry.least} most={entry.most ?? ''} />}
                            />
                        </Box>
                    ) : (
                        <span />
                    )}
                    <Box sx={{ display: 'flex', gap: 2 }}>
                        {place > 0 && (
                            <Button
                                aria-label={words.earlierChoiceOf(place + 1, name)}
                                onClick={() => {
                                    const moved = [...entries];
                                    moved.splice(place - 1, 0, ...moved.splice(place, 1));
                                    onChange(moved);
                                }}
                            >
                                {words.earlier}
                            </Button>
                        )}
                        <Button
                            disabled={entries.length === 1}
                            aria-label={words.removeChoiceOf(place + 1, name)}
                            onClick={() => onChange(entries.filter((_, index) => index !== place))}
                        >
                            {words.remove2}
                        </Button>
                    </Box>
                </Row>
            ))}
        </>
    );
}

/** What a line by this class takes of the catalogue as it is now, before anybody saves it. */
function Accepts({ named, least, most }: { named: string; least: string; most: string }) {
    const asked = useSettled(`${named.trim()}|${least}|${most}`);
    const [of = '', minima = '', maxima = ''] = asked.split('|');
    const { data } = useQuery({
        ...questions.accepted(of, limits(minima), limits(maxima)),
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

function limitProblem(problem: Problem | null, at: string, place: number, fields: string[]): string | undefined {
    const begins = fields.map((field) => `${at}.accepts.${place}.${field}.`);
    return Object.entries(problem?.errors ?? {}).find(([field]) =>
        begins.some((begin) => field.startsWith(begin)),
    )?.[1][0];
}
