import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { useSession } from '../session/useSession';
import { Sheet } from '../ui/Page';
import { ShiftVerdicts } from '../ui/ShiftVerdicts';
import { useIsUnknown } from '../ui/OfflineCopy';
import { UnknownShape, VerdictShape } from '../ui/VerdictMark';
import { count, sayDay } from '../ui/words';
import { jobAddress, jobWords, rightOf } from './jobs';
import { words } from './words';

const severityWords = { stop: words.doNotUse, fix: words.actionRequired, note: words.forInformation } as const;

interface VerdictSheetProps {
    verdict: Schemas['VerdictResource'];
    kit: string;
    leaves: Schemas['LeafResource'][];
    /** The action that Today and the kit list offer for this kit. */
    first?: Schemas['KitResource']['job'] | undefined;
}

/** The verdict: a sentence, then its reasons, then what to do about each, with the button that does it. */
export function VerdictSheet({ verdict, kit, leaves, first }: VerdictSheetProps) {
    const isUnknown = useIsUnknown(verdict.holds_through, kit);
    return (
        <Sheet>
            <Box sx={{ display: 'flex', gap: 3, alignItems: 'flex-start' }}>
                {isUnknown ? <UnknownShape size={34} /> : <VerdictShape verdict={verdict.verdict} size={34} />}
                <Box sx={{ minWidth: 0 }}>
                    {isUnknown && <Typography variant="h2">{words.statusUnknown}</Typography>}
                    <Typography
                        variant={isUnknown ? 'body1' : 'h2'}
                        sx={isUnknown ? { color: 'text.secondary' } : undefined}
                    >
                        {isUnknown ? words.whenCopied(verdict.sentence) : verdict.sentence}
                    </Typography>
                    <ShiftVerdicts shifts={verdict.shifts} />
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {words.statusOn}
                        {sayDay(verdict.as_of)}
                        {words.itemsMustBeInDate} {sayDay(verdict.next_check)}, and {count(verdict.margin_days, 'day')}{' '}
                        more.
                    </Typography>
                </Box>
            </Box>
            {(['stop', 'fix', 'note'] as const).map((severity) => {
                const reasons = verdict.reasons.filter((reason) => reason.severity === severity);
                return (
                    reasons.length > 0 && (
                        <Box key={severity} sx={{ mt: 3 }}>
                            <Typography variant="h3">{severityWords[severity]}</Typography>
                            <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
                                {reasons.map((reason, index) => (
                                    <Box
                                        component="li"
                                        key={index}
                                        sx={{
                                            py: 2,
                                            borderBottom: 1,
                                            borderColor: 'divider',
                                            '&:last-of-type': { borderBottom: 0 },
                                        }}
                                    >
                                        <Typography sx={{ fontWeight: severity === 'note' ? 400 : 600 }}>
                                            {reason.text}
                                        </Typography>
                                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                            {reason.todo}
                                            {reason.pocket_id && ` ${pocketName(leaves, reason.pocket_id)}.`}
                                        </Typography>
                                    </Box>
                                ))}
                            </Box>
                        </Box>
                    )
                );
            })}
            <VerdictJobs verdict={verdict} kit={kit} first={first} />
        </Sheet>
    );
}

/** The buttons that do what the reasons of a status ask for, the one that Today offers first in front. */
export function VerdictJobs({ verdict, kit, first }: Pick<VerdictSheetProps, 'verdict' | 'kit' | 'first'>) {
    const { may } = useSession();
    const jobs = (['build', 'report', 'restock', 'people', 'check'] as const).filter(
        (job) =>
            may(rightOf[job]) &&
            (job === first || verdict.reasons.some((reason) => reason.job === job && reason.severity !== 'note')),
    );
    const inOrder = [...jobs.filter((job) => job === first), ...jobs.filter((job) => job !== first)];
    return jobs.length === 0 ? null : (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 3 }}>
            {inOrder.map((job, index) => (
                <Button
                    key={job}
                    component={Link}
                    to={jobAddress(kit, job)}
                    variant={index === 0 ? 'contained' : 'outlined'}
                >
                    {jobWords[job]}
                </Button>
            ))}
        </Box>
    );
}

export function pocketName(leaves: Schemas['LeafResource'][], id: string): string {
    for (const leaf of leaves) {
        const pocket = leaf.pockets.find((one) => one.id === id);
        if (pocket) {
            return `${leaf.name}, ${pocket.name}`;
        }
    }
    return words.elsewhere;
}
