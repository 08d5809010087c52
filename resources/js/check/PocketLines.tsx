import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { KeyboardEvent } from 'react';
import type { Schemas } from '../api/client';
import { pocketName } from '../pack/VerdictSheet';
import { livesIn, shareIn } from '../ui/livesIn';
import { Caution, Sheet } from '../ui/Page';
import { Sign } from '../ui/Sign';
import { sayElsewhere } from '../ui/words';
import { AddFound } from './AddFound';
import { CountRow } from './CountRow';
import { addRow, emptyLines, toggleNoneFound, type Draft } from './draft';
import { moduleOf } from './modules';
import { ModuleSeal } from './ModuleSeal';
import { words } from './words';

interface PocketLinesProps {
    kit: Schemas['KitResource'];
    draft: Draft;
    pocket: string;
    lines: Schemas['LineResource'][];
    change: (to: (draft: Draft) => Draft) => void;
    /** Null in hand, where one pocket is one screen and what goes on is at the thumb. */
    onWhole: (() => void) | null;
    onNext: () => void;
}

/** Goes to the next or previous count of the pocket. */
export function moveBy(from: HTMLElement, step: number): void {
    const counts = [...document.querySelectorAll<HTMLElement>('[data-count]')];
    const to = counts[counts.indexOf(from) + step];
    if (to) {
        to.focus();
    } else if (step > 0) {
        document.getElementById('next')?.focus();
    }
}

/** The lines of one pocket, to be counted. */
export function PocketLines({ kit, draft, pocket, lines, change, onWhole, onNext }: PocketLinesProps) {
    const own = lines.filter((line) => livesIn(line, pocket));
    const rest = draft.rows.filter((row) => row.pocket === pocket && row.line === null);
    const empty = emptyLines(draft, kit, pocket);
    const module = moduleOf(draft, pocket);
    if (module !== undefined && module.state !== 'opened') {
        return (
            <Sheet title={pocketName(kit.leaves, pocket)}>
                <ModuleSeal key={module.code} draft={draft} module={module} change={change} onDone={onNext} />
            </Sheet>
        );
    }
    return (
        <Sheet title={onWhole ? pocketName(kit.leaves, pocket) : undefined}>
            {own.map((line) => (
                <Box
                    key={line.code}
                    role="group"
                    aria-label={line.need}
                    sx={{ py: 2, borderTop: 1, borderColor: 'divider' }}
                >
                    <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', justifyContent: 'space-between' }}>
                        <Typography sx={{ fontWeight: 700, display: 'flex', gap: 1, alignItems: 'center' }}>
                            <Sign of={line.item_class ?? ''} size={24} />
                            {line.item_name ?? line.need}
                            {line.rank !== 'required' && (
                                <Box
                                    component="span"
                                    sx={{ ml: 2, fontSize: 13, fontWeight: line.rank === 'critical' ? 700 : 400 }}
                                >
                                    {line.rank}
                                </Box>
                            )}
                        </Typography>
                        <Box component="span" sx={{ fontSize: 14, whiteSpace: 'nowrap' }}>
                            {words.theListAsksFor}
                            <strong>{line.required}</strong>
                            {shareIn(line, pocket) !== null && words.ofThemHere(shareIn(line, pocket) ?? 0)}
                        </Box>
                    </Box>
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {line.purpose ?? line.need}
                    </Typography>
                    <Caution text={line.caution} />
                    {line.told_from !== null && <Typography variant="body2">{line.told_from}</Typography>}
                    {draft.rows.map(
                        (row, index) =>
                            row.line === line.code &&
                            row.pocket === pocket && (
                                <CountRow
                                    key={row.key}
                                    row={row}
                                    index={index}
                                    draft={draft}
                                    change={change}
                                    shownName={line.item_name}
                                />
                            ),
                    )}
                    {line.elsewhere > 0 && <Typography variant="body2">{sayElsewhere(line.elsewhere)}</Typography>}
                    {empty.includes(line.code) && <NoneRecorded line={line} draft={draft} change={change} />}
                    <AddFound
                        label={words.addAnotherItemFoundHere2(line.need)}
                        preset={line.item}
                        onAdd={(item) =>
                            change((now) =>
                                addRow(now, {
                                    pocket,
                                    line: line.code,
                                    item: item.code,
                                    name: item.name,
                                    dated: item.dated,
                                }),
                            )
                        }
                    />
                </Box>
            ))}
            {rest.length > 0 && (
                <Box role="group" aria-label={words.alsoHere} sx={{ py: 2, borderTop: 1, borderColor: 'divider' }}>
                    <Typography variant="h3">{words.alsoHereNotOnA}</Typography>
                    {draft.rows.map(
                        (row, index) =>
                            row.line === null &&
                            row.pocket === pocket && (
                                <CountRow
                                    key={row.key}
                                    row={row}
                                    index={index}
                                    draft={draft}
                                    change={change}
                                    shownName={null}
                                />
                            ),
                    )}
                </Box>
            )}
            <Box sx={{ borderTop: 1, borderColor: 'divider', pt: 3, display: 'flex', flexWrap: 'wrap', gap: 2 }}>
                {onWhole && (
                    <>
                        <Button onClick={onWhole}>{words.wholePocketAsRecorded}</Button>
                        <Button id="next" variant="contained" onClick={onNext}>
                            {words.nextPocket}
                        </Button>
                    </>
                )}
                <AddFound
                    label={words.addAnItemThatIs}
                    preset={null}
                    onAdd={(item) =>
                        change((now) =>
                            addRow(now, { pocket, line: null, item: item.code, name: item.name, dated: item.dated }),
                        )
                    }
                />
            </Box>
        </Sheet>
    );
}

/** A line of which nothing is recorded: none there, or something was found. */
function NoneRecorded({
    line,
    draft,
    change,
}: {
    line: Schemas['LineResource'];
    draft: Draft;
    change: PocketLinesProps['change'];
}) {
    const isSaid = draft.noneFound.includes(line.code);
    const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            moveBy(event.currentTarget, event.key === 'ArrowDown' ? 1 : -1);
        } else if (event.key === 'Enter' && !event.shiftKey) {
            event.preventDefault();
            change((now) => (now.noneFound.includes(line.code) ? now : toggleNoneFound(now, line.code)));
            moveBy(event.currentTarget, 1);
        }
    };
    return (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 2 }}>
            <Typography variant="body2">{words.nothingIsRecordedHere}</Typography>
            <Button
                size="small"
                data-count
                data-open={!isSaid}
                aria-pressed={isSaid}
                onKeyDown={onKeyDown}
                onClick={() => change((now) => toggleNoneFound(now, line.code))}
            >
                {isSaid ? words.noneThere : words.noneThere2}
            </Button>
        </Box>
    );
}
