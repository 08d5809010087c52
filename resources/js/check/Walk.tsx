import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRef, useState, type KeyboardEvent } from 'react';
import type { Schemas } from '../api/client';
import { OpenKit } from '../ui/OpenKit';
import { Page } from '../ui/Page';
import { emptyLines, pocketAsRecorded, pocketsOf, progress, type Draft } from './draft';
import { FinishSheet } from './FinishSheet';
import { KeysDialog } from './KeysDialog';
import { PocketLines } from './PocketLines';
import { RunningVerdict } from './RunningVerdict';
import { useRunningVerdict } from './useRunningVerdict';
import { words } from './words';

interface WalkProps {
    kit: Schemas['KitResource'];
    draft: Draft;
    change: (to: (draft: Draft) => Draft) => void;
    onLeave: () => void;
}

/** The full check, pocket by pocket: the open kit at one side, the pocket's lines at the other, the running verdict in sight. */
export function Walk({ kit, draft, change, onLeave }: WalkProps) {
    const pockets = pocketsOf(kit);
    const unfinished = (from: number) =>
        [...pockets.slice(from), ...pockets.slice(0, from)].find(
            (pocket) => progress(draft, kit, pocket).done < progress(draft, kit, pocket).all,
        );
    const [chosen, setChosen] = useState(() => unfinished(0) ?? pockets[0] ?? '');
    const [showsKeys, setShowsKeys] = useState(false);
    const lines = useRef<HTMLDivElement>(null);
    const { verdict, isBehind, error } = useRunningVerdict(draft);
    const all = pockets
        .map((pocket) => progress(draft, kit, pocket))
        .reduce((sum, one) => ({ done: sum.done + one.done, all: sum.all + one.all }), { done: 0, all: 0 });
    const shown = verdict ?? kit.verdict;

    const focusFirst = () => {
        // The lines of the next pocket are there after the next paint.
        requestAnimationFrame(() => {
            const inputs = lines.current?.querySelectorAll<HTMLElement>('[data-count]') ?? [];
            const open = [...inputs].find((input) => input.getAttribute('data-open') === 'true');
            (open ?? inputs[0] ?? document.getElementById('finish'))?.focus();
        });
    };
    const go = (pocket: string) => {
        setChosen(pocket);
        focusFirst();
    };
    const next = () => {
        const after = unfinished(pockets.indexOf(chosen) + 1);
        if (after) {
            go(after);
        } else {
            requestAnimationFrame(() => document.getElementById('finish')?.focus());
        }
    };
    const wholePocket = () => {
        change((now) => pocketAsRecorded(now, chosen, emptyLines(now, kit, chosen)));
        requestAnimationFrame(() => document.getElementById('next')?.focus());
    };
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
                <Box
                    sx={{
                        display: 'grid',
                        gap: 4,
                        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1.15fr)' },
                        alignItems: 'start',
                    }}
                >
                    <Box sx={{ minWidth: 0, position: { lg: 'sticky' }, top: 8, display: 'grid', gap: 4 }}>
                        <OpenKit
                            leaves={kit.leaves}
                            lines={shown.lines}
                            selected={chosen}
                            onSelect={go}
                            note={(pocket) => {
                                const { done, all: inAll } = progress(draft, kit, pocket);
                                return done === inAll ? 'counted' : words.of2(done, inAll);
                            }}
                        />
                        <RunningVerdict verdict={shown} isBehind={isBehind} error={error} left={all.all - all.done} />
                    </Box>
                    <Box sx={{ minWidth: 0 }} ref={lines}>
                        <PocketLines
                            key={chosen}
                            kit={kit}
                            draft={draft}
                            pocket={chosen}
                            lines={shown.lines}
                            change={change}
                            onWhole={wholePocket}
                            onNext={next}
                        />
                        <FinishSheet
                            kit={kit}
                            draft={draft}
                            left={all.all - all.done}
                            change={change}
                            onLeave={onLeave}
                        />
                    </Box>
                </Box>
                <KeysDialog open={showsKeys} onClose={() => setShowsKeys(false)} />
            </Page>
        </Box>
    );
}
