import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { newId } from '../api/newId';
import { designQuestions } from '../api/designQuestions';
import { questions } from '../api/queries';
import { Confirm } from '../ui/Confirm';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Trouble } from '../ui/Page';
import { Search } from '../ui/Search';
import { TwoColumns } from '../ui/TwoColumns';
import { useSettled } from '../ui/useSettled';
import { AdviceSheet } from './AdviceSheet';
import { BudgetSheet } from './BudgetSheet';
import { CompartmentSheet } from './CompartmentSheet';
import { ConfigurationsSheet } from './ConfigurationsSheet';
import { DesignSheet } from './DesignSheet';
import { LineSheet } from './LineSheet';
import type { Chosen } from './chosen';
import { LooseLines, PackedKit } from './PackedKit';
import { addLine, moveLine, putLine, stepLine } from './lines';
import { addCompartment, shiftCompartment } from './packing';
import { PublishSheet } from './PublishSheet';
import type { PackingHands } from './usePacking';
import { words } from './words';

interface EditorProps {
    hands: PackingHands;
    onPublished: (design: string) => void;
    onDiscarded: () => void;
}

/** A design on the open kit: pockets, lines dragged into them or moved by keys, advice and limits beside it. */
export function Editor({ hands, onPublished, onDiscarded }: EditorProps) {
    const { packing, change, undo, redo } = hands;
    const { draft } = packing;
    const [chosen, setChosen] = useState<Chosen>(null);
    const [added, setAdded] = useState<string | null>(null);
    const [isReviewing, setReviewing] = useState(false);
    const [isDiscarding, setDiscarding] = useState(false);
    const [isJoined, setJoined] = useState(false);
    const settled = useSettled(draft);
    const { data: foresight, error, isPlaceholderData } = useQuery(designQuestions.foresight(packing.design, settled));
    const isOfNow = foresight !== undefined && !isPlaceholderData && settled === draft;
    const { data: designs } = useQuery(designQuestions.designs());
    const { data: items } = useQuery(questions.itemChoices());
    const lines = useMemo(() => new Map((foresight?.lines ?? []).map((line) => [line.code, line])), [foresight]);
    const loads = useMemo(() => new Map((foresight?.loads ?? []).map((load) => [load.compartment, load])), [foresight]);
    const modules = useMemo(
        () => new Map((designs ?? []).filter((one) => one.id !== packing.design).map((one) => [one.code, one.name])),
        [designs, packing.design],
    );
    const isRefocused = useRef(false);
    useEffect(() => {
        if (isRefocused.current) {
            isRefocused.current = false;
            document.querySelector<HTMLElement>('[data-line][aria-pressed="true"]')?.focus();
        }
    }, [draft]);
    useEffect(() => {
        const onKey = (event: KeyboardEvent) => {
            const isTyping = document.activeElement?.matches('input, textarea, select') === true;
            if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z' && !isTyping) {
                event.preventDefault();
                if (event.shiftKey) {
                    redo();
                } else {
                    undo();
                }
            }
        };
        window.addEventListener('keydown', onKey);
        return () => window.removeEventListener('keydown', onKey);
    }, [undo, redo]);
    const add = (parent: string | null, kind: 'leaf' | 'pocket' | 'pouch') => {
        const id = newId();
        const word = kind === 'leaf' ? words.part : kind === 'pocket' ? words.pocket : words.pouch;
        change((now) => addCompartment(now, { id, parent, kind, word }));
        setAdded(id);
        setChosen({ kind: 'compartment', id });
    };
    const one = chosen?.kind === 'compartment' ? draft.compartments.find(({ id }) => id === chosen.id) : undefined;
    const line = chosen?.kind === 'line' ? lines.get(chosen.code) : undefined;
    const kit = {
        draft,
        lines,
        loads,
        designs: modules,
        chosen,
        onChoose: (to: Chosen) => {
            setAdded(null);
            setChosen(to);
        },
        onMove: (code: string, from: string | null, to: string | null) => {
            change((now) => (from === null || to === null ? putLine(now, code, to) : moveLine(now, code, from, to)));
            setChosen({ kind: 'line', code, from: to });
        },
        onShift: (what: NonNullable<Chosen>, by: 1 | -1) => {
            if (what.kind === 'compartment') {
                change((now) => shiftCompartment(now, what.id, by));
                return;
            }
            const moved = stepLine(draft, what.code, what.from, by);
            change(() => moved.draft);
            setChosen({ kind: 'line', code: what.code, from: moved.in });
            // The line is drawn again in another pocket: the keys stay with it.
            isRefocused.current = true;
        },
    };
    return (
        <Page
            title={words.packing(packing.name)}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {[packing.number > 0 ? words.from(packing.number) : '', words.notPublished]
                        .filter(Boolean)
                        .join('. ')}
                </Typography>
            }
            beside={
                <>
                    <Button disabled={!hands.canUndo} onClick={undo}>
                        {words.undo}
                    </Button>
                    <Button disabled={!hands.canRedo} onClick={redo}>
                        {words.redo}
                    </Button>
                    <Button variant="contained" onClick={() => setReviewing(!isReviewing)}>
                        {isReviewing ? words.backToPacking : words.review}
                    </Button>
                </>
            }
        >
            {hands.isOld && !isJoined && <Notice>{words.earlierChanges}</Notice>}
            {isJoined && <Notice>{words.joined(packing.number)}</Notice>}
            {error !== null && <Trouble error={error} />}
            {isReviewing ? (
                <PublishSheet
                    hands={hands}
                    faults={isOfNow ? foresight.faults : null}
                    onPublished={onPublished}
                    onJoined={() => {
                        setJoined(true);
                        setReviewing(false);
                    }}
                />
            ) : (
                <TwoColumns widths="1.9fr 1fr">
                    <div>
                        <Sheet
                            title={words.theKit}
                            beside={
                                <Button size="small" variant="outlined" onClick={() => add(null, 'leaf')}>
                                    {words.addPart}
                                </Button>
                            }
                        >
                            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                                {words.howToPack}
                            </Typography>
                            <PackedKit {...kit} onAddPocket={(part) => add(part, 'pocket')} />
                            {/* Before its lines are read nobody knows whether all of them have a pocket. */}
                            {foresight !== undefined && <LooseLines {...kit} />}
                            <Search
                                label={words.addLine}
                                value=""
                                clears
                                goesOn={false}
                                options={(items ?? []).map((item) => [item.code, item.name] as const)}
                                helperText={words.addLineHelp}
                                onChoose={(item) => {
                                    const of = items?.find((known) => known.code === item);
                                    if (of) {
                                        const made = addLine(draft, of, [...lines.keys()]);
                                        change(() => made.draft);
                                        setChosen({ kind: 'line', code: made.code, from: null });
                                    }
                                }}
                                sx={{ mt: 3, maxWidth: 420 }}
                            />
                        </Sheet>
                        {foresight && <BudgetSheet design={packing.design} draft={settled} foresight={foresight} />}
                    </div>
                    <div>
                        {one ? (
                            <CompartmentSheet
                                key={one.id}
                                draft={draft}
                                one={one}
                                lines={lines}
                                designs={modules}
                                change={change}
                                isNew={one.id === added}
                                onAddInside={() => add(one.id, 'pouch')}
                                onRemoved={() => setChosen(null)}
                            />
                        ) : line && chosen?.kind === 'line' ? (
                            <LineSheet
                                key={line.code}
                                draft={draft}
                                line={line}
                                from={chosen.from}
                                change={change}
                                onMoved={(from) => setChosen({ ...chosen, from })}
                                onRemoved={() => setChosen(null)}
                            />
                        ) : (
                            <Sheet title={words.chosen}>
                                <Typography sx={{ color: 'text.secondary' }}>{words.nothingChosen}</Typography>
                            </Sheet>
                        )}
                        {foresight && (
                            <AdviceSheet advice={foresight.advice} draft={draft} change={change} onShow={setChosen} />
                        )}
                        <DesignSheet hands={hands} />
                        <ConfigurationsSheet draft={draft} lines={lines} change={change} />
                        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
                            <Button component={Link} to="/designs">
                                {words.designs}
                            </Button>
                            <Button color="error" onClick={() => setDiscarding(true)}>
                                {words.discardChanges}
                            </Button>
                        </Box>
                    </div>
                </TwoColumns>
            )}
            {isDiscarding && (
                <Confirm
                    question={words.discardQuestion(packing.name)}
                    word={words.discard}
                    onConfirm={() => {
                        hands.forget();
                        onDiscarded();
                    }}
                    onClose={() => setDiscarding(false)}
                />
            )}
        </Page>
    );
}
