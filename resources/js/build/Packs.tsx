import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../api/client';
import { pocketName } from '../pack/VerdictSheet';
import { AddPut } from '../restock/Instead';
import { InHand } from '../ui/InHand';
import { OpenKit } from '../ui/OpenKit';
import { Page, Sheet } from '../ui/Page';
import { TwoColumns } from '../ui/TwoColumns';
import { CloseStep } from './CloseStep';
import { isPacked, leftOver, type BuildDraft } from './draft';
import { EndBuild, HandOver } from './HandOver';
import { EverythingOut, LeftOver, PackPocket } from './Steps';
import { useBuild, type Build } from './useBuild';
import { words } from './words';

const OUT = 'out';
const LEFT = 'left';
const CLOSE = 'close';

interface StepOf {
    key: string;
    title: string;
    progress: string;
    isDone: boolean;
}

function stepsOf(kit: Schemas['KitResource'], { draft, pockets }: Build): StepOf[] {
    const counted = draft.pieces.filter((piece) => piece.isCounted).length;
    const left = draft.pieces.filter((piece) => leftOver(draft, piece) > 0).length;
    return [
        {
            key: OUT,
            title: words.everythingOut,
            progress: words.counted(counted, draft.pieces.length),
            isDone: counted === draft.pieces.length,
        },
        ...pockets.map((pocket) => {
            const own = draft.puts.filter((put) => put.pocket === pocket);
            return {
                key: pocket,
                title: pocketName(kit.leaves, pocket),
                progress: words.packed(own.filter((put) => put.isDone).length, own.length),
                isDone: isPacked(draft, pocket),
            };
        }),
        { key: LEFT, title: words.leftOver, progress: String(left), isDone: left === 0 },
        { key: CLOSE, title: words.closing, progress: '', isDone: false },
    ];
}

/** The steps, and the one that is being done. */
export function Packs({ kit, kept }: { kit: Schemas['KitResource']; kept: BuildDraft }) {
    const atDesk = useMediaQuery('(min-width:900px)');
    const build = useBuild(kept);
    const steps = stepsOf(kit, build);
    const [chosen, setChosen] = useState(() => (kept.isWaiting || kept.trouble ? CLOSE : firstOpen(steps)));
    const here = steps.find((step) => step.key === chosen) ?? steps[0];
    if (!here) {
        return null;
    }
    const Shape = atDesk ? AtDesk : Held;
    return <Shape kit={kit} build={build} steps={steps} here={here} onStep={setChosen} />;
}

const firstOpen = (steps: StepOf[]): string => steps.find((step) => !step.isDone)?.key ?? CLOSE;

interface ShapeProps {
    kit: Schemas['KitResource'];
    build: Build;
    steps: StepOf[];
    here: StepOf;
    onStep: (key: string) => void;
}

function StepContent({ kit, build, here }: ShapeProps) {
    switch (here.key) {
        case OUT:
            return <EverythingOut kit={kit} build={build} />;
        case LEFT:
            return <LeftOver kit={kit} build={build} />;
        case CLOSE:
            return <CloseStep kit={kit} build={build} />;
        default:
            return <PackPocket build={build} pocket={here.key} />;
    }
}

/** The open kit, in which a pocket leads to its step. */
function Picture({ kit, steps, here, onStep }: ShapeProps) {
    return (
        <OpenKit
            leaves={kit.leaves}
            lines={kit.verdict.lines}
            selected={here.key}
            onSelect={(key) => onStep(steps.some((step) => step.key === key) ? key : here.key)}
            note={(pocket) => steps.find((step) => step.key === pocket)?.progress ?? ''}
            isLooked={() => false}
        />
    );
}

/** What one press at the end of a step does: all of it as listed, and on. */
function useOnwards({ build, steps, here, onStep }: ShapeProps) {
    const next = steps[steps.findIndex((step) => step.key === here.key) + 1]?.key ?? CLOSE;
    return {
        word: here.key === OUT ? words.allAsRecorded : words.pocketAsListed,
        isPocket: here.key !== LEFT && here.key !== CLOSE,
        all: () => {
            if (here.key === OUT) {
                build.allCounted();
            } else {
                build.wholePocket(here.key);
            }
            onStep(next);
        },
        next: () => onStep(next),
    };
}

function AtDesk(shape: ShapeProps) {
    const { kit, build, steps, here, onStep } = shape;
    const navigate = useNavigate();
    const onwards = useOnwards(shape);
    const sheet = useRef<HTMLDivElement>(null);
    useEffect(() => {
        // A step that was chosen from the end of the list begins at its top.
        if ((sheet.current?.getBoundingClientRect().top ?? 0) < 0) {
            window.scrollTo(0, 0);
        }
    }, [here.key]);
    const pocket = build.pockets.includes(here.key) ? here.key : (build.pockets[0] ?? '');
    return (
        <Page
            title={words.packKitAnew(kit.code, kit.name)}
            beside={
                <>
                    <HandOver draft={build.draft} />
                    <Button onClick={() => void navigate(`/kits/${kit.code}`)}>{words.leaveForNow}</Button>
                    <EndBuild kit={kit} id={build.draft.id} />
                </>
            }
        >
            <TwoColumns widths="1fr 1.2fr">
                <Box sx={{ minWidth: 0 }}>
                    <Picture {...shape} />
                    <Box component="ol" sx={{ listStyle: 'none', m: 0, mt: 3, p: 0 }}>
                        {steps.map((step, at) => (
                            <li key={step.key}>
                                <Button
                                    variant="text"
                                    aria-current={step.key === here.key ? 'step' : undefined}
                                    onClick={() => onStep(step.key)}
                                    sx={{
                                        width: '100%',
                                        justifyContent: 'space-between',
                                        textAlign: 'left',
                                        gap: 2,
                                        fontWeight: step.key === here.key ? 700 : 400,
                                    }}
                                >
                                    <span>{words.step(at + 1, step.title)}</span>
                                    <span>
                                        {step.isDone && '✓ '}
                                        {step.key === LEFT || step.key === CLOSE ? '' : step.progress}
                                    </span>
                                </Button>
                            </li>
                        ))}
                    </Box>
                </Box>
                <Box ref={sheet} sx={{ minWidth: 0 }}>
                    <Sheet
                        title={here.title}
                        beside={
                            onwards.isPocket && (
                                <Button size="small" onClick={onwards.all}>
                                    {onwards.word}
                                </Button>
                            )
                        }
                    >
                        <StepContent {...shape} />
                        {here.key !== CLOSE && (
                            <Button variant="contained" onClick={onwards.next} sx={{ mt: 3 }}>
                                {words.next}
                            </Button>
                        )}
                    </Sheet>
                    {build.draft.shelf.length > 0 && here.key !== OUT && (
                        <AddPut kit={kit} shelf={build.draft.shelf} pocket={pocket} onAdd={build.add} />
                    )}
                </Box>
            </TwoColumns>
        </Page>
    );
}

function Held(shape: ShapeProps) {
    const { kit, build, steps, here, onStep } = shape;
    const navigate = useNavigate();
    const onwards = useOnwards(shape);
    return (
        <InHand
            doing={words.packKitAnew(kit.code, kit.name)}
            title={here.title}
            progress={here.progress}
            strip={steps.map((step) => ({ key: step.key, isHere: step.key === here.key, isDone: step.isDone }))}
            picture={<Picture {...shape} />}
            menu={[
                { word: words.back, onPress: () => onStep(OUT) },
                { word: words.closing, onPress: () => onStep(CLOSE) },
                { word: words.leaveForNow, onPress: () => void navigate(`/kits/${kit.code}`) },
            ]}
            bar={
                here.key === CLOSE ? (
                    <Button onClick={() => onStep(OUT)}>{words.back}</Button>
                ) : (
                    <Box
                        sx={{
                            display: 'grid',
                            gridTemplateColumns: onwards.isPocket ? 'minmax(0, 1fr) auto' : '1fr',
                            gap: 2,
                        }}
                    >
                        {onwards.isPocket && (
                            <Button variant="contained" sx={{ minHeight: 56 }} onClick={onwards.all}>
                                {onwards.word}
                            </Button>
                        )}
                        <Button sx={{ minHeight: 56, px: 4 }} onClick={onwards.next}>
                            {words.next}
                        </Button>
                    </Box>
                )
            }
        >
            <StepContent {...shape} />
            {here.key === CLOSE && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 4 }}>
                    <HandOver draft={build.draft} />
                    <EndBuild kit={kit} id={build.draft.id} />
                </Box>
            )}
        </InHand>
    );
}
