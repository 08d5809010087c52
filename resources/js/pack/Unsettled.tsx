import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Sheet } from '../ui/Page';
import { count } from '../ui/words';
import { words } from './words';

/** What arrived late and could not be recorded as it was sent: it stays here until somebody settles it. */
export function Unsettled({ kit }: { kit?: string }) {
    const { data: rows } = useQuery(questions.unsettled(kit));
    if (!rows || rows.length === 0) {
        return null;
    }
    return (
        <Sheet title={words.needsYouToSettle(count(rows.length, 'entry', 'entries'))}>
            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                {words.theseArrivedAfterOthersHad}
            </Typography>
            <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
                {rows.map((row) => (
                    <Entry key={row.id} row={row} withKit={kit === undefined} />
                ))}
            </Box>
        </Sheet>
    );
}

function Entry({ row, withKit }: { row: Schemas['UnsettledResource']; withKit: boolean }) {
    const { may } = useSession();
    const client = useQueryClient();
    const [note, setNote] = useState<string | null>(null);
    const settle = useMutation({
        mutationFn: (text: string) =>
            ask(api.PUT('/unsettled/{unsettled}', { params: { path: { unsettled: row.id } }, body: { note: text } })),
        onSuccess: () => client.invalidateQueries({ queryKey: ['unsettled'] }),
    });
    const problem = isProblem(settle.error) ? settle.error : null;
    return (
        <Box
            component="li"
            sx={{
                display: 'grid',
                gridTemplateColumns: 'minmax(0, 1fr) auto',
                gap: '0 16px',
                alignItems: 'center',
                py: 2,
                borderTop: 1,
                borderColor: 'divider',
            }}
        >
            <div>
                <Typography sx={{ fontWeight: 600 }}>{row.text}.</Typography>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {withKit && (
                        <>
                            <Link to={`/kits/${row.kit}`} style={{ color: 'inherit' }}>
                                {row.kit} {row.kit_name}
                            </Link>
                            {' · '}
                        </>
                    )}
                    {row.title}
                    {row.number !== null && words.operation(row.number)}
                </Typography>
            </div>
            {may('check') && note === null && (
                <Button onClick={() => setNote('')} size="small">
                    {words.settle}
                </Button>
            )}
            {note !== null && (
                <Box
                    component="form"
                    onSubmit={(event) => {
                        event.preventDefault();
                        settle.mutate(note);
                    }}
                    sx={{ gridColumn: '1 / -1', mt: 2, display: 'grid', gap: 2, maxWidth: 520 }}
                >
                    <TextField
                        label={words.whatYouFoundAndDid}
                        value={note}
                        autoFocus
                        onChange={(event) => setNote(event.target.value)}
                        error={problem !== null}
                        helperText={problem?.at('note') ?? problem?.message ?? ' '}
                        slotProps={{ htmlInput: { maxLength: 300 } }}
                    />
                    <Box sx={{ display: 'flex', gap: 2 }}>
                        <Button type="submit" variant="contained" disabled={note.trim() === '' || settle.isPending}>
                            {words.save}
                        </Button>
                        <Button onClick={() => setNote(null)}>{words.cancel}</Button>
                    </Box>
                </Box>
            )}
        </Box>
    );
}
