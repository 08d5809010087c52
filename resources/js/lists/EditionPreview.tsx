import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Sheet, Trouble } from '../ui/Page';
import { sayInstant } from '../ui/words';
import { VerdictMark } from '../ui/VerdictMark';
import { EffectTexts } from './EffectTexts';
import { words } from './words';

/** What an edition would do to more kits than one answer holds: worked out by a worker, and of which moment it is. */
export function EditionPreview({ change }: { change: Schemas['EditionChangeResource'] }) {
    const { timeZone } = useSession();
    const [id, setId] = useState<string>();
    const [after, setAfter] = useState(0);
    const begin = useMutation({
        mutationFn: () =>
            ask(
                api.POST('/lists/{list}/previews', {
                    params: { path: { list: change.to.id }, query: { from: change.from.id } },
                }),
            ),
        onSuccess: (preview) => {
            setAfter(0);
            setId(preview.id);
        },
    });
    const { data: preview, error } = useQuery({
        ...questions.editionPreview(id ?? '', after),
        enabled: id !== undefined,
    });
    const isOnItsWay = preview?.state === 'waiting' || preview?.state === 'running';
    return (
        <Sheet title={words.whatWouldChangeInKits(change.concerned)}>
            {preview === undefined && <Typography sx={{ mb: 3 }}>{words.soManyTakeAWhile}</Typography>}
            {preview !== undefined && (
                <Box role="status" sx={{ mb: 3 }}>
                    {isOnItsWay && (
                        <LinearProgress
                            aria-label={words.calculated(preview.done, preview.kits)}
                            variant="determinate"
                            value={preview.kits === 0 ? 0 : (100 * preview.done) / preview.kits}
                            sx={{ mb: 2 }}
                        />
                    )}
                    <Typography>
                        {preview.state === 'failed'
                            ? words.couldNotBeCalculated
                            : `${words.calculated(preview.done, preview.kits)} ${words.asOf(sayInstant(preview.made_at, timeZone))}`}
                    </Typography>
                    {preview.is_behind && !isOnItsWay && (
                        <Typography sx={{ fontWeight: 600 }}>{words.changedSince}</Typography>
                    )}
                </Box>
            )}
            {preview?.counts.map((count) => (
                <Box key={`${count.now} ${count.then}`} sx={{ display: 'flex', gap: 3, py: 1, alignItems: 'center' }}>
                    <strong>{count.kits}</strong>
                    <span>{words.now}</span> <VerdictMark verdict={count.now} />
                    <span>{words.then}</span> <VerdictMark verdict={count.then} />
                </Box>
            ))}
            {preview?.effects.map((effect) => (
                <Box key={effect.kit} sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
                    <Link to={`/kits/${effect.kit}`} style={{ color: 'inherit', fontWeight: 600 }}>
                        {effect.kit} {effect.name}
                    </Link>
                    <EffectTexts effect={effect} />
                </Box>
            ))}
            <Box sx={{ display: 'flex', gap: 2, mt: 3 }}>
                {!isOnItsWay && (
                    <Button
                        variant={preview === undefined ? 'contained' : undefined}
                        onClick={() => begin.mutate()}
                        disabled={begin.isPending}
                    >
                        {preview === undefined ? words.calculate : words.calculateAgain}
                    </Button>
                )}
                {after > 0 && <Button onClick={() => setAfter(0)}>{words.firstKits}</Button>}
                {preview?.next != null && <Button onClick={() => setAfter(preview.next ?? 0)}>{words.nextKits}</Button>}
            </Box>
            {(begin.error ?? error) && <Trouble error={begin.error ?? error} />}
        </Sheet>
    );
}
