import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import { isProblem } from '../api/client';
import { useSession } from '../session/useSession';
import { words } from './words';

interface AwaitingProps {
    title: string;
    about: ReactNode;
    /** The button that opens the field, and how it is told from others like it. */
    word: string;
    wordFor?: string;
    /** The field, its key in what is sent, how long it may be, and the button that sends it. */
    label: string;
    field: string;
    most: number;
    done: string;
    save: { mutate: (text: string) => void; isPending: boolean; error: Error | null };
    /** Further fields of the form, and whether they are filled in. */
    children?: ReactNode;
    isFilled?: boolean;
}

/** A row that waits until somebody who checks kits says what was done about it. */
export function Awaiting({
    title,
    about,
    word,
    wordFor,
    label,
    field,
    most,
    done,
    save,
    children,
    isFilled = true,
}: AwaitingProps) {
    const { may } = useSession();
    const [text, setText] = useState<string | null>(null);
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
                <Typography sx={{ fontWeight: 600, overflowWrap: 'anywhere' }}>{title}</Typography>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {about}
                </Typography>
            </div>
            {may('check') && text === null && (
                <Button onClick={() => setText('')} aria-label={wordFor} size="small">
                    {word}
                </Button>
            )}
            {text !== null && (
                <Box
                    component="form"
                    onSubmit={(event) => {
                        event.preventDefault();
                        save.mutate(text.trim());
                    }}
                    sx={{ gridColumn: '1 / -1', mt: 2, display: 'grid', gap: 2, maxWidth: 520 }}
                >
                    {children}
                    <TextField
                        label={label}
                        value={text}
                        autoFocus
                        onChange={(event) => setText(event.target.value)}
                        error={save.error !== null}
                        helperText={
                            problem?.at(field) ?? [save.error?.message, ...(problem?.changes ?? [])].join(' ').trim()
                        }
                        slotProps={{ htmlInput: { maxLength: most } }}
                    />
                    <Box sx={{ display: 'flex', gap: 2 }}>
                        <Button
                            type="submit"
                            variant="contained"
                            disabled={text.trim() === '' || !isFilled || save.isPending}
                        >
                            {done}
                        </Button>
                        <Button onClick={() => setText(null)}>{words.cancel}</Button>
                    </Box>
                </Box>
            )}
        </Box>
    );
}
