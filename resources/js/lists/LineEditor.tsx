import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Problem } from '../api/client';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import type { Choice } from '../ui/Search';
import { AcceptsEditor } from './AcceptsEditor';
import { freshEntry, type EditedEntry, type EditedLine } from './editing';
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

const grows = [
    ['trip', words.growsWithNothing],
    ['people', words.growsWithPeople],
    ['person_days', words.growsWithPersonDays],
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
            <AcceptsEditor
                entries={line.accepts}
                name={name}
                items={items}
                problem={problem}
                at={`lines.${at}`}
                onChange={accepts}
            />
            <Choose
                label={words.growsWith}
                value={line.per ?? 'trip'}
                onChoose={(per) => onChange({ ...line, per: grows.find(([one]) => one === per)?.[0] ?? 'trip' })}
                options={grows}
            />
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
