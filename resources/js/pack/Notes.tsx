import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Sheet } from '../ui/Page';
import { count, sayDay } from '../ui/words';
import { Awaiting } from './Awaiting';
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
    const client = useQueryClient();
    const save = useMutation({
        mutationFn: (text: string) =>
            ask(api.PUT('/checks/{check}/answer', { params: { path: { check: note.check } }, body: { answer: text } })),
        onSuccess: async (left) => {
            client.setQueryData(questions.notes().queryKey, left);
            await client.invalidateQueries({ queryKey: ['kit'] });
        },
    });
    return (
        <Awaiting
            title={note.text}
            about={
                <>
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
                </>
            }
            word={words.answer}
            wordFor={words.answerTo(note.text)}
            label={words.whatWasDoneAboutIt}
            field="answer"
            most={500}
            done={words.recordAnswer}
            save={save}
        />
    );
}
