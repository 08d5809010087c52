import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, done, type Schemas } from '../api/client';
import { todayThere } from '../api/today';
import { useSession } from '../session/useSession';
import { Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { sayDay } from '../ui/words';
import { words } from './words';

type Design = Schemas['DesignResource'];
type Line = Schemas['WaitingLine'];

/** Lines of a design that wait for something: a lead says that it has begun, with the day and the reason, or that it has ended. */
export function WaitingLines({ design }: { design: Design }) {
    if (design.waiting.length === 0) {
        return null;
    }
    return (
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1, flexBasis: '100%' }}>
            {design.waiting.map((line) => (
                <Box
                    component="li"
                    key={line.code}
                    sx={{
                        display: 'flex',
                        flexWrap: 'wrap',
                        gap: 1,
                        alignItems: 'center',
                        borderLeft: 3,
                        borderColor: 'ochre',
                        pl: 2,
                    }}
                >
                    <Typography variant="body2" sx={{ flex: '1 1 320px' }}>
                        <strong>{line.need}</strong>{' '}
                        {line.on_day === null
                            ? words.waitsUntil(line.waits_for)
                            : words.askedSince(sayDay(line.on_day), line.reason ?? '', line.by ?? '')}
                    </Typography>
                    <Switch design={design} line={line} />
                </Box>
            ))}
        </Box>
    );
}

function Switch({ design, line }: { design: Design; line: Line }) {
    const client = useQueryClient();
    const { may } = useSession();
    const path = { design: design.id, line: line.code };
    const [typed, setTyped] = useState({ on_day: '', reason: '' });
    const end = useMutation({
        mutationFn: async () => {
            await done(
                api.DELETE('/designs/{design}/lines/{line}/beginning', {
                    params: { path },
                }),
            );
        },
        onSuccess: () => client.invalidateQueries(),
    });
    if (!may('plan')) {
        return null;
    }
    if (line.on_day !== null) {
        return (
            <Button
                size="small"
                disabled={end.isPending}
                aria-label={words.itHasEndedOf(line.need)}
                onClick={() => end.mutate()}
            >
                {words.itHasEnded}
            </Button>
        );
    }
    return (
        <FormDialog
            word={words.itHasBegun}
            wordFor={words.itHasBegunOf(line.need)}
            look="outlined"
            title={words.hasBegunTitle(line.waits_for)}
            done={words.save}
            isReady={typed.on_day !== '' && typed.reason.trim() !== ''}
            onOpen={() => setTyped({ on_day: todayThere(), reason: line.waits_for })}
            save={async () => {
                await done(
                    api.PUT('/designs/{design}/lines/{line}/beginning', {
                        params: { path },
                        body: { on_day: typed.on_day, reason: typed.reason.trim() },
                    }),
                );
                await client.invalidateQueries();
            }}
        >
            {(problem) => (
                <>
                    <Typography>{words.hasBegunAbout(line.need)}</Typography>
                    <Write
                        label={words.fromDay}
                        type="date"
                        value={typed.on_day}
                        onWrite={(on_day) => setTyped({ ...typed, on_day })}
                        problem={problem?.at('on_day')}
                        slotProps={{ inputLabel: { shrink: true } }}
                    />
                    <Write
                        label={words.why}
                        value={typed.reason}
                        onWrite={(reason) => setTyped({ ...typed, reason })}
                        problem={problem?.at('reason') ?? problem?.at('line')}
                        slotProps={{ htmlInput: { maxLength: 200 } }}
                    />
                </>
            )}
        </FormDialog>
    );
}
