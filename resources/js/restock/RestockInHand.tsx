import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { pocketName } from '../pack/VerdictSheet';
import { InHand } from '../ui/InHand';
import { OpenKit } from '../ui/OpenKit';
import { sayDay } from '../ui/words';
import { restocks } from './draft';
import { AddPut } from './Instead';
import { HeldBack, Missing } from './Missing';
import { useRestock, type WalkProps } from './RestockPage';
import { RestockRow } from './RestockRow';
import { ChooseStore, FinishRestock, NothingToDo } from './RestockState';
import { words } from './words';

const FINISH = 'finish';

/** The pick list in hand: one pocket to a screen, one press where all of it is done. */
export function RestockInHand({ kit, draft, stores, onStore }: WalkProps) {
    const navigate = useNavigate();
    const work = useRestock(kit, draft);
    const stops = [...work.stops.map((stop) => stop.key), FINISH];
    const [chosen, setChosen] = useState(stops[0] ?? FINISH);
    const here = work.stops.find((stop) => stop.key === chosen);
    const isEnd = chosen === FINISH;
    const own = here?.steps ?? draft.steps;
    const next = () => setChosen(stops[stops.indexOf(chosen) + 1] ?? FINISH);
    return (
        <InHand
            doing={words.restock3(kit.code, kit.name)}
            title={isEnd ? words.finish : pocketName(kit.leaves, here?.pocket ?? '')}
            progress={words.ofDone(own.filter((step) => step.isDone).length, own.length)}
            strip={stops.map((stop) => ({
                key: stop,
                isHere: stop === chosen,
                isDone:
                    work.stops.find((one) => one.key === stop)?.steps.every((step) => step.isDone || step.isAbsent) ??
                    false,
            }))}
            picture={
                <OpenKit
                    leaves={kit.leaves}
                    lines={kit.verdict.lines}
                    selected={here?.pocket ?? ''}
                    onSelect={(pocket) => setChosen(work.stops.find((stop) => stop.pocket === pocket)?.key ?? chosen)}
                    note={work.noteOf}
                />
            }
            menu={[
                { word: words.allDone, onPress: work.all },
                { word: words.finishNow, onPress: () => setChosen(FINISH) },
                { word: words.leaveForNow, onPress: () => void navigate(`/kits/${kit.code}`) },
                {
                    word: words.readListAnew,
                    asks: { question: words.discardTicks, word: words.readListAnew },
                    onPress: () => restocks.drop(kit.code),
                },
            ]}
            bar={
                isEnd ? (
                    <Button onClick={() => setChosen(stops[0] ?? FINISH)} disabled={stops.length < 2}>
                        {words.backToTheFirst}
                    </Button>
                ) : (
                    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', gap: 2 }}>
                        <Button
                            variant="contained"
                            sx={{ minHeight: 56 }}
                            onClick={() => {
                                if (here) {
                                    work.allOf(here);
                                }
                                next();
                            }}
                        >
                            {words.allOfThisPocketDone}
                        </Button>
                        <Button sx={{ minHeight: 56, px: 4 }} onClick={next}>
                            {words.nextWord}
                        </Button>
                    </Box>
                )
            }
        >
            {!isEnd && (
                <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                    {words.from}
                    {draft.storeName}
                    {words.whatGoesInMustBe}
                    {sayDay(draft.until)}.
                </Typography>
            )}
            {!isEnd &&
                own.map((step) => (
                    <RestockRow
                        key={step.key}
                        step={step}
                        shelf={draft.shelf ?? []}
                        onRemove={() => work.remove(step.key)}
                        error={work.errorOf(step)}
                        waits={work.waits(step)}
                        onFocus={() => undefined}
                        onChange={(to) => work.change(step.key, to)}
                    />
                ))}
            {isEnd && (
                <>
                    <ChooseStore draft={draft} stores={stores} onStore={onStore} />
                    {draft.steps.length === 0 ? (
                        <NothingToDo draft={draft} />
                    ) : (
                        <FinishRestock kit={kit} draft={draft} set={work.set} />
                    )}
                    {(draft.shelf ?? []).length > 0 && (
                        <Box sx={{ mt: 4 }}>
                            <AddPut
                                kit={kit}
                                shelf={draft.shelf ?? []}
                                pocket={kit.leaves[0]?.pockets[0]?.id ?? ''}
                                onAdd={work.add}
                            />
                        </Box>
                    )}
                    <Missing missing={draft.missing} />
                    <HeldBack draft={draft} />
                </>
            )}
        </InHand>
    );
}
