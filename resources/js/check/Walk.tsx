import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useCallback, useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Schemas } from '../api/client';
import { Notes } from '../pack/Notes';
import { OpenKit } from '../ui/OpenKit';
import { Page } from '../ui/Page';
import { emptyLines, pocketAsRecorded, pocketsOf, progress, type Draft } from './draft';
import { FinishSheet } from './FinishSheet';
import { KeysDialog } from './KeysDialog';
import { lookAt } from './looked';
import { moduleOf } from './modules';
import { PocketLines } from './PocketLines';
import { RunningVerdict } from './RunningVerdict';
import { useRunningVerdict } from './useRunningVerdict';
import { TwoColumns } from '../ui/TwoColumns';
import { words } from './words';

export interface WalkProps {
    kit: Schemas['KitResource'];
    draft: Draft;
    change: (to: (draft: Draft) => Draft) => void;
    onLeave: () => void;
}

/** Where one is in a check, and where one goes from there. */
export function useWalk(
    { kit, draft, change }: Pick<WalkProps, 'kit' | 'draft' | 'change'>,
    onPocket: (pocket: string) => void,
) {
    const pockets = pocketsOf(kit);
    const isDone = (now: Draft, pocket: string) => progress(now, kit, pocket).done === progress(now, kit, pocket).all;
    const unfinished = (now: Draft, from: number) =>
        [...pockets.slice(from), ...pockets.slice(0, from)].find((pocket) => !isDone(now, pocket));
    const [chosen, setChosen] = useState(() => unfinished(draft, 0) ?? pockets[0] ?? '');
    const { verdict, isBehind, error } = useRunningVerdict(draft);
    const all = pockets
        .map((pocket) => progress(draft, kit, pocket))
        .reduce((sum, one) => ({ done: sum.done + one.done, all: sum.all + one.all }), { done: 0, all: 0 });
    const go = (pocket: string) => {
        setChosen(pocket);
        onPocket(pocket);
    };
    /** To the next pocket that is not counted, else to the end. */
    const next = (now = draft) => {
        go(unfinished(now, pockets.indexOf(chosen) + 1) ?? FINISH);
    };
    // What is behind a whole seal was not looked at: its number is read, or it is opened.
    const isBehindSeal = moduleOf(draft, chosen)?.state === 'unsaid';
    const wholePocket = () => {
        if (isBehindSeal) {
            return;
        }
        const after = pocketAsRecorded(draft, chosen, emptyLines(draft, kit, chosen));
        change(() => after);
        // What still needs somebody, such as a date that cannot be read, keeps them here.
        if (isDone(after, chosen)) {
            next(after);
        }
    };
    const shown = verdict ?? kit.verdict;
    const look = lookAt(draft, shown.lines);
    return { look, isBehindSeal, pockets, chosen, go, next, wholePocket, isDone, verdict: shown, isBehind, error, all };
}

/** Behind the last pocket: the note, the seal, the name. */
export const FINISH = 'finish';

/** The full check, pocket by pocket: the open kit at one side, the pocket's lines at the other, the running verdict in sight. */
export function Walk({ kit, draft, change, onLeave }: WalkProps) {
    const [showsKeys, setShowsKeys] = useState(false);
    const lines = useRef<HTMLDivElement>(null);
    const focusFirst = useCallback((pocket?: string) => {
        // The lines of the next pocket are there after the next paint.
        requestAnimationFrame(() => {
            const inputs = lines.current?.querySelectorAll<HTMLElement>('[data-count], [data-read]') ?? [];
            const open = [...inputs].find((input) => input.getAttribute('data-open') === 'true');
            (pocket === FINISH ? document.getElementById('finish') : (open ?? inputs[0]))?.focus();
        });
    }, []);
    const walk = useWalk({ kit, draft, change }, focusFirst);
    const { chosen, all, next, wholePocket } = walk;
    // Keys work as soon as the check is there, without a click.
    useEffect(() => focusFirst(), [focusFirst]);
    const shownPocket = chosen === FINISH ? (walk.pockets[walk.pockets.length - 1] ?? '') : chosen;
    const onKeyDown = (event: KeyboardEvent) => {
        const target = event.target as HTMLElement;
        const isText = target.matches('input:not([data-count]), textarea');
        if (isText || event.ctrlKey || event.metaKey || event.altKey) {
            return;
        }
        if (event.key === '?') {
            event.preventDefault();
            setShowsKeys(true);
        } else if (event.key === 'n' || event.key === 'N') {
            event.preventDefault();
            next();
        } else if (event.key === 'Enter' && event.shiftKey) {
            event.preventDefault();
            wholePocket();
        }
    };

    return (
        <Box onKeyDown={onKeyDown}>
            <Page
                title={words.check3(kit.code, kit.name)}
                above={
                    <Typography sx={{ color: 'text.secondary' }}>
                        {kit.place.path} · {all.done} of {all.all} counted
                    </Typography>
                }
                beside={
                    <Button onClick={() => setShowsKeys(true)} sx={{ display: { xs: 'none', md: 'inline-flex' } }}>
                        {words.keys}
                    </Button>
                }
            >
                <TwoColumns widths="1fr 1.15fr">
                    <Box sx={{ minWidth: 0, position: { lg: 'sticky' }, top: 8, display: 'grid', gap: 4 }}>
                        <OpenKit
                            leaves={kit.leaves}
                            lines={walk.verdict.lines}
                            selected={chosen}
                            onSelect={walk.go}
                            isLooked={(line) => walk.look.looked.has(line.code)}
                            note={(pocket) => {
                                const { done, all: inAll } = progress(draft, kit, pocket);
                                return done === inAll ? 'counted' : words.of2(done, inAll);
                            }}
                        />
                        <RunningVerdict
                            verdict={walk.verdict}
                            isBehind={walk.isBehind}
                            error={walk.error}
                            look={walk.look}
                            left={all.all - all.done}
                        />
                    </Box>
                    <Box sx={{ minWidth: 0 }} ref={lines}>
                        <PocketLines
                            key={shownPocket}
                            kit={kit}
                            draft={draft}
                            pocket={shownPocket}
                            lines={walk.verdict.lines}
                            change={change}
                            onWhole={wholePocket}
                            onNext={() => next()}
                        />
                        <Notes notes={kit.notes} of={kit.code} />
                        <FinishSheet
                            kit={kit}
                            draft={draft}
                            left={all.all - all.done}
                            change={change}
                            onLeave={onLeave}
                        />
                    </Box>
                </TwoColumns>
                <KeysDialog open={showsKeys} onClose={() => setShowsKeys(false)} />
            </Page>
        </Box>
    );
}
