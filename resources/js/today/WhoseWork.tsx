import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import type { Whose } from '../api/queries';
import { useSession } from '../session/useSession';
import { Empty, Sheet } from '../ui/Page';
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
            <Box role="group" aria-label={words.whoseKits} sx={{ display: 'flex', gap: 1 }}>
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
        </Box>
    ) : null;
}

/** Nothing to do; where there is no kit at all, what comes first. */
export function NoWork({ kits, whose }: { kits: number; whose: Whose }) {
    const { may } = useSession();
    if (whose !== 'all') {
        return (
            <Sheet title={words.noTasks}>
                <Empty>{whose === 'mine' ? words.nothingOfYours : words.everyKitHasSomebody}</Empty>
            </Sheet>
        );
    }
    return kits > 0 ? (
        <Sheet title={words.noTasks}>
            <Empty>{words.everyKitIsReadyAnd}</Empty>
        </Sheet>
    ) : (
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
