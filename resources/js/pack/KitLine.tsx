import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { useSession } from '../session/useSession';
import { KitLink } from '../ui/KitLink';
import { VerdictMark } from '../ui/VerdictMark';
import { count, sayDay } from '../ui/words';
import { jobAddress, rightOf } from './jobs';
import { words } from './words';

export function dueWords(kit: Schemas['KitRow']): string {
    if (kit.due_on === null) {
        return words.noCheckPlanned;
    }
    const what = kit.due_kind === 'quick' ? words.quickCheck2 : 'check';
    return kit.overdue_days > 0
        ? words.overdue(what, count(kit.overdue_days, 'day'))
        : words.due(what, sayDay(kit.due_on));
}

/** A kit in a list, with its verdict, when it is due, and the button for what it wants. */
export function KitLine({ kit, job, isPlaced = false }: KitLineProps) {
    return (
        <Box
            sx={{
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) auto' },
                gap: '4px 16px',
                alignItems: 'center',
                py: 2,
                borderTop: 1,
                borderColor: 'divider',
            }}
        >
            <Box sx={{ minWidth: 0 }}>
                <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3 }}>
                    <KitLink code={kit.code} name={kit.name} />
                    <VerdictMark verdict={kit.verdict} holdsThrough={kit.holds_through} kit={kit.code} />
                </Box>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {isPlaced && `${kit.place.path} · `}
                    {kit.design_name}
                    {kit.seal === 'intact' && words.sealed}
                    {kit.seal === 'broken' && words.sealBroken}
                    {' · '}
                    <Box component="span" sx={{ fontWeight: kit.overdue_days > 0 ? 700 : 400, color: 'text.primary' }}>
                        {dueWords(kit)}
                    </Box>
                </Typography>
                {kit.reasons[0] && (
                    <Typography variant="body2">
                        {kit.reasons[0]}
                        {kit.reasons.length > 1 && words.and(count(kit.reasons.length - 1, 'more reason'))}
                    </Typography>
                )}
            </Box>
            <KitJob kit={kit} job={job} />
        </Box>
    );
}

type Job = 'check' | 'restock' | 'use' | 'hand_back';

interface KitLineProps {
    kit: Schemas['KitRow'];
    /** The button that is shown; not said: the one for what is due. */
    job?: Job | undefined;
    /** Whether its place is said: where the list is not sorted by places. */
    isPlaced?: boolean;
}

function KitJob({ kit, job }: Pick<KitLineProps, 'kit' | 'job'>) {
    const { may } = useSession();
    const wanted = job ?? kit.job;
    if (wanted === null || !may(rightOf[wanted])) {
        return null;
    }
    const word = {
        use: words.use,
        hand_back: words.handBack,
        restock: words.restock2,
        check: kit.due_kind === 'quick' ? words.quickCheck : words.check2,
        build: words.goOnPacking,
        report: words.answerReport,
        people: words.postAFirstAider,
    }[wanted];
    return (
        <Button
            component={Link}
            to={jobAddress(kit.code, wanted)}
            variant={wanted === kit.job || wanted === 'restock' ? 'contained' : 'outlined'}
            aria-label={`${word} ${kit.code}`}
            sx={{ minWidth: 120 }}
        >
            {word}
        </Button>
    );
}
