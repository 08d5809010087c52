import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import type { Whose } from '../api/firstQuestions';
import { useSession } from '../session/useSession';
import { Empty, Sheet } from '../ui/Page';
import { count } from '../ui/words';
import { TakeAlong } from './TakeAlong';
import { words } from './words';

const choices: readonly (readonly [Whose, string])[] = [
    ['all', words.allKits],
    ['mine', words.mine],
    ['nobody', words.whatNobodyHas],
];

export function whoseOf(text: string | null): Whose {
    return choices.find(([whose]) => whose === text)?.[0] ?? 'all';
}

/** Whose kits the worklist shows: all, one's own, or those that nobody answers for. */
export function WhoseWork({ whose, onChoose }: { whose: Whose; onChoose: (whose: Whose) => void }) {
    const { may } = useSession();
    return may('check') ? (
        <Box sx={{ mb: 3 }}>
            <Box role="group" aria-label={words.whoseKits} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
                {choices.map(([one, word]) => (
                    <Button
                        key={one}
                        aria-pressed={one === whose}
                        variant={one === whose ? 'contained' : 'outlined'}
                        onClick={() => onChoose(one)}
                    >
                        {word}
                    </Button>
                ))}
            </Box>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: 1 }}>
                <TakeAlong />
            </Box>
        </Box>
    ) : null;
}

interface NoWorkProps {
    today: Schemas['TodayResource'];
    whose: Whose;
    onFirstPage: () => void;
}

/** Nothing to do on this page, and how much is known of that; where there is no kit at all, what comes first. */
export function NoWork({ today, whose, onFirstPage }: NoWorkProps) {
    const { may } = useSession();
    if (today.kits === 0 && whose === 'all') {
        return (
            <Sheet title={words.noKitsYet}>
                <Empty>{may('equip') ? words.equipTheFirst : words.aLeadEquips}</Empty>
                {may('equip') && (
                    <Link to="/start" style={{ color: 'inherit' }}>
                        {words.firstSteps}
                    </Link>
                )}
            </Sheet>
        );
    }
    if (today.work_in_all > 0) {
        return (
            <Sheet title={words.noTasksOnPage}>
                <Empty>{words.tasksOnOthers(count(today.work_in_all, 'task'))}</Empty>
                <Button onClick={onFirstPage}>{words.firstPage}</Button>
            </Sheet>
        );
    }
    if (today.being_judged > 0) {
        return (
            <Sheet title={words.noTasksSoFar}>
                <Empty>{words.mayComeYet(today.being_judged, today.kits)}</Empty>
            </Sheet>
        );
    }
    return (
        <Sheet title={words.noTasks}>
            <Empty>{nothing(today, whose)}</Empty>
        </Sheet>
    );
}

function nothing(today: Schemas['TodayResource'], whose: Whose): string {
    if (whose !== 'all') {
        return whose === 'mine' ? words.nothingOfYours : words.everyKitHasSomebody;
    }
    const ready = today.counts.find(({ verdict }) => verdict === 'ready')?.kits ?? 0;
    return ready === today.kits ? words.everyKitIsReadyAnd : words.nothingIsDue(ready, today.kits);
}
