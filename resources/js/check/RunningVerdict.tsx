import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Problem, Schemas } from '../api/client';
import { ShiftVerdicts } from '../ui/ShiftVerdicts';
import { VerdictShape } from '../ui/VerdictMark';
import { count, verdictWords } from '../ui/words';
import { isOfLooked, type Look } from './looked';
import { words } from './words';

/** The verdict as it stands while one counts, with its gravest reasons. In hand it stays above the bar. */
export function RunningVerdict({
    verdict,
    isBehind,
    error,
    look,
    left,
}: {
    verdict: Schemas['VerdictResource'];
    isBehind: boolean;
    /** Why what was counted could not be judged: then nothing is said of it, least of all that it is ready. */
    error: Problem | null;
    look: Look;
    left: number;
}) {
    const reasons = error
        ? []
        : verdict.reasons.filter((reason) => reason.severity !== 'note' && isOfLooked(reason, look));
    return (
        <Box
            role="status"
            aria-label={words.statusWhileCounting}
            aria-busy={isBehind}
            sx={{
                bgcolor: 'background.paper',
                border: 1,
                borderColor: 'text.secondary',
                borderRadius: '6px',
                p: { xs: 2, md: 3 },
                position: { xs: 'fixed', lg: 'static' },
                zIndex: 9,
                left: { xs: 8, lg: 'auto' },
                right: { xs: 8, lg: 'auto' },
                bottom: { xs: 'calc(64px + env(safe-area-inset-bottom))', md: 8 },
                ml: { md: '96px', lg: 0 },
            }}
        >
            {error ? (
                <>
                    <Typography sx={{ fontWeight: 700 }}>{words.noStatusForWhatYou}</Typography>
                    <Typography variant="body2">
                        {error.errors.rows?.[0] ?? Object.values(error.errors)[0]?.[0] ?? error.message}
                    </Typography>
                </>
            ) : (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
                    <VerdictShape verdict={look.isJudged ? verdict.verdict : null} isOpen={!look.isJudged} size={22} />
                    <Typography sx={{ fontWeight: 700 }}>
                        {look.isJudged ? verdictWords[verdict.verdict] : words.noStatusYet}
                    </Typography>
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {!look.isJudged
                            ? words.linesLookedAt(look.done, look.needed)
                            : left > 0
                              ? words.ifTheOtherAsRecorded(left, left === 1 ? 'is' : 'are')
                              : words.asCounted}
                    </Typography>
                </Box>
            )}
            {!error && look.isJudged && (
                <Box sx={{ display: { xs: 'none', lg: 'block' } }}>
                    <ShiftVerdicts shifts={verdict.shifts} />
                </Box>
            )}
            {reasons.slice(0, 4).map((reason, index) => (
                <Typography
                    key={index}
                    variant="body2"
                    sx={{
                        mt: 1,
                        display: { xs: index === 0 ? '-webkit-box' : 'none', lg: 'block' },
                        WebkitLineClamp: 1,
                        WebkitBoxOrient: 'vertical',
                        overflow: 'hidden',
                    }}
                >
                    {reason.text}
                </Typography>
            ))}
            {reasons.length > 4 && (
                <Typography
                    variant="body2"
                    sx={{ color: 'text.secondary', mt: 1, display: { xs: 'none', lg: 'block' } }}
                >
                    and {count(reasons.length - 4, 'more reason')}
                </Typography>
            )}
        </Box>
    );
}
