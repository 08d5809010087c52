import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../api/client';
import { dailyQuestions } from '../api/dailyQuestions';
import { useSession } from '../session/useSession';
import { Sheet } from '../ui/Page';
import { count, sayDay } from '../ui/words';
import { words } from './words';

const answers = Object.entries(words.shortfallAnswers) as [
    'used' | 'moved' | 'lost' | 'miscounted' | 'unknown',
    string,
][];

/** What the last full check found fewer of: asked about once. And how much of it nobody ever said, by place and shift. */
export function Shortfalls({ kit }: { kit: string }) {
    const { data } = useQuery(dailyQuestions.shortfalls(kit));
    const { may } = useSession();
    if (!data || data.asked.length + data.shares.length === 0) {
        return null;
    }
    return (
        <Sheet title={words.whereDidItGo}>
            {may('check') && data.asked.map((one) => <Asked key={one.id} kit={kit} asked={one} />)}
            {data.shares.map((share) => (
                <Typography key={`${share.place} ${share.shift ?? ''}`} variant="body2" sx={{ py: 1 }}>
                    {words.nobodySaid(share.unsaid, share.pieces)} {share.place}
                    {share.shift && `, ${words.ofShift(share.shift)}`}
                </Typography>
            ))}
            {data.shares.length > 0 && (
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {words.neverByPerson}
                </Typography>
            )}
        </Sheet>
    );
}

function Asked({ kit, asked }: { kit: string; asked: Schemas['ShortfallResource'] }) {
    const client = useQueryClient();
    const answer = useMutation({
        mutationFn: (why: (typeof answers)[number][0]) =>
            ask(
                api.PUT('/kits/{kit}/shortfalls/{shortfall}', {
                    params: { path: { kit, shortfall: asked.id } },
                    body: { why },
                }),
            ),
        onSuccess: (now) => client.setQueryData(dailyQuestions.shortfalls(kit).queryKey, now),
    });
    return (
        <Box role="group" aria-label={asked.name} sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
            <Typography>{words.fewerFound(count(asked.pieces, 'piece'), asked.name, sayDay(asked.day))}</Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
                {answers.map(([why, word]) => (
                    <Button
                        key={why}
                        size="small"
                        disabled={answer.isPending}
                        onClick={() => answer.mutate(why)}
                        sx={{ minHeight: 44 }}
                    >
                        {word}
                    </Button>
                ))}
            </Box>
            {answer.error && (
                <Typography role="alert" color="error">
                    {answer.error.message}
                </Typography>
            )}
        </Box>
    );
}
