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
import { count, sayDay } from '../ui/words';
import { words } from './words';

type Note = Schemas['CheckNote'];

/** All notes that wait for an answer. */
export function NotesLeft() {
    const { data } = useQuery(questions.notes());
    return data ? <Notes notes={data.notes} inAll={data.in_all} /> : null;
}

interface NotesProps {
    notes: Note[];
    inAll?: number;
    /** The kit whose page it is. */
    of?: string;
}

/** What was left at earlier checks for the next one: it stays in sight until somebody answers it. */
export function Notes({ notes, inAll = notes.length, of }: NotesProps) {
    return notes.length === 0 ? null : (
        <Sheet title={words.notesLeft(count(inAll, 'note'))}>
            <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
                {notes.map((note) => (
                    <Entry key={note.check} note={note} of={of} />
                ))}
            </Box>
            {inAll > notes.length && (
                <Typography variant="body2">{words.moreNotes(count(inAll - notes.length, 'more note'))}</Typography>
            )}
        </Sheet>
    );
}

function Entry({ note, of }: { note: Note; of?: string }) {
    const { may } = useSession();
    const client = useQueryClient();
    const [answer, setAnswer] = useState<string | null>(null);
    const save = useMutation({
        mutationFn: (text: string) =>
            ask(api.PUT('/checks/{check}/answer', { params: { path: { check: note.check } }, body: { answer: text } })),
        onSuccess: async (left) => {
            client.setQueryData(questions.notes().queryKey, left);
            await client.invalidateQueries({ queryKey: ['kit'] });
        },
    });
    const problem = isProblem(save.error) ? save.error : null;
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
                <Typography sx={{ fontWeight: 600, overflowWrap: 'anywhere' }}>{note.text}</Typography>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {note.kit !== of && (
                        <>
                            <Link to={`/kits/${note.kit}`} style={{ color: 'inherit' }}>
                                {note.kit} {note.kit_name}
                            </Link>
                            {' · '}
                        </>
                    )}
                    <Link to={`/checks/${note.check}`} style={{ color: 'inherit' }}>
                        {words.leftOn(sayDay(note.day), note.by)}
                    </Link>
                </Typography>
            </div>
            {may('check') && answer === null && (
                <Button onClick={() => setAnswer('')} aria-label={words.answerTo(note.text)} size="small">
                    {words.answer}
                </Button>
            )}
            {answer !== null && (
                <Box
                    component="form"
                    onSubmit={(event) => {
                        event.preventDefault();
                        save.mutate(answer.trim());
                    }}
                    sx={{ gridColumn: '1 / -1', mt: 2, display: 'grid', gap: 2, maxWidth: 520 }}
                >
                    <TextField
                        label={words.whatWasDoneAboutIt}
                        value={answer}
                        autoFocus
                        onChange={(event) => setAnswer(event.target.value)}
                        error={save.error !== null}
                        helperText={
                            problem?.at('answer') ?? [save.error?.message, ...(problem?.changes ?? [])].join(' ')
                        }
                        slotProps={{ htmlInput: { maxLength: 500 } }}
                    />
                    <Box sx={{ display: 'flex', gap: 2 }}>
                        <Button type="submit" variant="contained" disabled={answer.trim() === '' || save.isPending}>
                            {words.recordAnswer}
                        </Button>
                        <Button onClick={() => setAnswer(null)}>{words.cancel}</Button>
                    </Box>
                </Box>
            )}
        </Box>
    );
}
