import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { todayThere } from '../api/today';
import { Choose, Row, Write } from '../ui/Fields';
import { Figure } from './Figure';
import { planLine } from './lines';
import type { Draft } from './packing';
import { words } from './words';

/** Puts so many pieces of a line into one more pocket. */
export function Split({
    pockets,
    onSplit,
}: {
    pockets: (readonly [string, string])[];
    onSplit: (into: string, pieces: number) => void;
}) {
    const [into, setInto] = useState('');
    const [pieces, setPieces] = useState<number | null>(1);
    return (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 90px auto', gap: 2, mt: 3, alignItems: 'start' }}>
            <Choose label={words.splitInto} size="small" value={into} empty="" onChoose={setInto} options={pockets} />
            <Figure label={words.splitPieces} value={pieces} onFigure={setPieces} />
            <Button
                size="small"
                variant="outlined"
                disabled={into === '' || pieces === null}
                onClick={() => onSplit(into, pieces ?? 0)}
                sx={{ minHeight: 40 }}
            >
                {words.split}
            </Button>
        </Box>
    );
}

/** Asked for now, from a day on, or from when something begins. */
export function When({
    draft,
    line,
    change,
}: {
    draft: Draft;
    line: string;
    change: (to: (draft: Draft) => Draft, what?: string) => void;
}) {
    const placement = draft.placements.find((one) => one.line === line);
    const day = placement?.from_day ?? null;
    const waits = placement?.waits_for ?? null;
    const kind = day !== null ? 'day' : waits !== null ? 'begins' : 'now';
    return (
        <>
            <Row columns="repeat(2, minmax(0, 1fr))">
                <Choose
                    label={words.when}
                    size="small"
                    value={kind}
                    onChoose={(to) =>
                        change((now) =>
                            planLine(now, line, {
                                from_day: to === 'day' ? todayThere() : null,
                                waits_for: to === 'begins' ? '' : null,
                            }),
                        )
                    }
                    options={(['now', 'day', 'begins'] as const).map((one) => [one, words.whens[one]] as const)}
                />
                {kind === 'day' && (
                    <Write
                        label={words.fromDay}
                        size="small"
                        type="date"
                        value={day ?? ''}
                        onWrite={(from_day) => {
                            if (from_day !== '') {
                                change((now) => planLine(now, line, { from_day, waits_for: null }), `${line} day`);
                            }
                        }}
                        slotProps={{ inputLabel: { shrink: true } }}
                    />
                )}
                {kind === 'begins' && (
                    <Write
                        label={words.waitsFor}
                        size="small"
                        value={waits ?? ''}
                        onWrite={(waits_for) =>
                            change((now) => planLine(now, line, { from_day: null, waits_for }), `${line} waits`)
                        }
                        problem={waits?.trim() === '' ? words.sayWaitsFor : undefined}
                        help={words.waitsForHelp}
                        slotProps={{ htmlInput: { maxLength: 120 } }}
                    />
                )}
            </Row>
            {kind !== 'now' && <Typography variant="body2">{words.notYetCovered}</Typography>}
        </>
    );
}
