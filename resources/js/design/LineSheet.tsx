import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Choose, Row, Write } from '../ui/Fields';
import { Group } from '../ui/Group';
import { Caution, Sheet } from '../ui/Page';
import { count } from '../ui/words';
import { Figure } from './Figure';
import { moveLine, putLine, removeLine, setShare, splitLine } from './lines';
import { pathOf, pocketsOf, type Draft } from './packing';
import { Split, When } from './LinePlan';
import { Switched } from './Switched';
import { words } from './words';

interface LineSheetProps {
    draft: Draft;
    line: Schemas['ForeseenLine'];
    from: string | null;
    change: (to: (draft: Draft) => Draft, what?: string) => void;
    onMoved: (to: string | null) => void;
    onRemoved: () => void;
}

const ranks = ['critical', 'required', 'optional'] as const;

/** One line of a design: where it lives, whether it is split, from when it is asked for, in which configurations. */
export function LineSheet({ draft, line, from, change, onMoved, onRemoved }: LineSheetProps) {
    const shares = draft.placements.filter((one) => one.line === line.code);
    const pockets = pocketsOf(draft);
    const added = draft.additions.find((one) => one.code === line.code);
    const setAdded = (to: Partial<NonNullable<typeof added>>, what?: string) =>
        change(
            (now) => ({
                ...now,
                additions: now.additions.map((one) => (one.code === line.code ? { ...one, ...to } : one)),
            }),
            what === undefined ? undefined : `${line.code} ${what}`,
        );
    return (
        <Sheet title={line.need}>
            <Typography variant="body2">
                {words.asksFor(line.required)}{' '}
                {line.item_name === null ? words.filledWithNothing : words.filledWith(line.item_name)}
                {line.mass_g !== null && `, ${words.grams(line.mass_g.toLocaleString('en-GB'))}.`}
            </Typography>
            <Caution text={line.caution} />
            {line.start_minutes !== null && (
                <Typography variant="body2">{words.startEarly(count(line.start_minutes, 'minute'))}</Typography>
            )}
            {shares.length < 2 ? (
                <Choose
                    label={words.lives}
                    size="small"
                    fullWidth
                    sx={{ mt: 3 }}
                    value={shares[0]?.compartment ?? ''}
                    empty={words.noPocket}
                    onChoose={(to) => {
                        // Who types to a choice passes others: it is one step.
                        change((now) => putLine(now, line.code, to === '' ? null : to), `${line.code} lives`);
                        onMoved(to === '' ? null : to);
                    }}
                    options={pockets}
                />
            ) : (
                <Group legend={words.sharesOf(line.need)}>
                    {shares.map((one) => (
                        <Box
                            key={one.compartment}
                            sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2, my: 1.5 }}
                        >
                            <Choose
                                label={words.lives}
                                size="small"
                                value={one.compartment}
                                onChoose={(to) => {
                                    change((now) => moveLine(now, line.code, one.compartment, to));
                                    if (one.compartment === from) {
                                        onMoved(to);
                                    }
                                }}
                                options={pockets}
                            />
                            <Figure
                                label={words.inPocket(pathOf(draft, one.compartment))}
                                value={one.quantity}
                                least={0}
                                onFigure={(quantity) =>
                                    change(
                                        (now) => setShare(now, line.code, one.compartment, quantity ?? 0),
                                        `${line.code} share`,
                                    )
                                }
                            />
                        </Box>
                    ))}
                </Group>
            )}
            {shares.length > 0 && line.pieces > shares.length && (
                <Split
                    key={`${line.code} ${shares.length}`}
                    pockets={pockets.filter(([id]) => !shares.some((one) => one.compartment === id))}
                    onSplit={(into, pieces) => change((now) => splitLine(now, line.code, into, pieces, line.pieces))}
                />
            )}
            {shares[0] && <When draft={draft} line={line.code} change={change} />}
            <Switched draft={draft} what="lines" of={line.code} change={change} />
            {added && (
                <>
                    <Row columns="repeat(2, minmax(0, 1fr))">
                        <Write
                            label={words.need}
                            size="small"
                            value={added.need}
                            onWrite={(need) => setAdded({ need }, 'need')}
                            slotProps={{ htmlInput: { maxLength: 160 } }}
                        />
                        {added.quantity !== null && (
                            <Figure
                                label={words.quantity}
                                value={added.quantity}
                                isNeeded
                                most={100_000}
                                onFigure={(quantity) => setAdded({ quantity }, 'quantity')}
                            />
                        )}
                        <Choose
                            label={words.rank}
                            size="small"
                            value={added.rank}
                            onChoose={(rank) => setAdded({ rank: ranks.find((one) => one === rank) ?? 'required' })}
                            options={ranks.map((rank) => [rank, words.ranks[rank]] as const)}
                        />
                        <Write
                            label={words.reason}
                            size="small"
                            value={added.reason ?? ''}
                            onWrite={(reason) => setAdded({ reason: reason === '' ? null : reason }, 'reason')}
                            slotProps={{ htmlInput: { maxLength: 200 } }}
                        />
                    </Row>
                    <Button
                        size="small"
                        color="error"
                        onClick={() => {
                            onRemoved();
                            change((now) => removeLine(now, line.code));
                        }}
                    >
                        {words.removeLine}
                    </Button>
                </>
            )}
        </Sheet>
    );
}
