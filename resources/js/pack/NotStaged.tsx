import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Sheet } from '../ui/Page';
import { words } from './words';

type Reason = Schemas['ReasonResource'];

/** What lies in the kit and was put in without what is done to it before: said to be done with a press. */
export function NotStaged({ kit }: { kit: Schemas['KitResource'] }) {
    const { may } = useSession();
    const reasons = kit.verdict.reasons.filter((one) => one.kind === 'unprepared');
    const byItem = [...new Map(reasons.map((one) => [one.item, one])).values()];
    if (byItem.length === 0 || !may('restock')) {
        return null;
    }
    return (
        <Sheet title={words.notStaged}>
            {byItem.map((reason) => (
                <Unstaged key={reason.item} kit={kit.code} reason={reason} />
            ))}
        </Sheet>
    );
}

function Unstaged({ kit, reason }: { kit: string; reason: Reason }) {
    const client = useQueryClient();
    const [id] = useState(newId);
    const stage = useMutation({
        mutationFn: () =>
            ask(
                api.PUT('/kits/{kit}/staging/{id}', {
                    params: { path: { kit, id } },
                    body: { item: reason.item ?? '' },
                }),
            ),
        onSuccess: async (now) => {
            client.setQueryData(questions.kit(kit).queryKey, now);
            await client.invalidateQueries();
        },
    });
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', py: 1 }}>
            <Typography sx={{ flex: 1, minWidth: 200 }}>{reason.text}</Typography>
            <Button
                disabled={stage.isPending}
                onClick={() => stage.mutate()}
                aria-label={words.stagedNowOf(reason.text)}
            >
                {words.stagedNow}
            </Button>
            {stage.error && (
                <Typography role="alert" color="error">
                    {stage.error.message}
                </Typography>
            )}
        </Box>
    );
}
