import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import Typography from '@mui/material/Typography';
import { useId, useState, type ReactNode } from 'react';
import { isProblem, type Problem } from '../api/client';
import { words } from './words';

interface FormDialogProps {
    /** The button that opens it, and how it is told from others like it. */
    word: string;
    wordFor?: string;
    look?: 'contained' | 'outlined' | 'text';
    title: string;
    /** The button that sends it, and whether there is enough to send. */
    done: string;
    isReady?: boolean;
    /** What is typed begins anew each time. */
    onOpen?: () => void;
    save: () => Promise<unknown>;
    children: (problem: Problem | null) => ReactNode;
}

/** A few fields in a dialog: it closes when they were saved; an error stays in it, with what was typed. */
export function FormDialog({
    word,
    wordFor,
    look,
    title,
    done,
    isReady = true,
    onOpen,
    save,
    children,
}: FormDialogProps) {
    const id = useId();
    const [isOpen, setOpen] = useState(false);
    const [isSaving, setSaving] = useState(false);
    const [error, setError] = useState<unknown>(null);
    const problem = isProblem(error) ? error : null;
    const send = async () => {
        setSaving(true);
        setError(null);
        try {
            await save();
            setOpen(false);
        } catch (trouble) {
            setError(trouble);
        } finally {
            setSaving(false);
        }
    };
    return (
        <>
            <Button
                variant={look}
                aria-label={wordFor}
                onClick={() => {
                    onOpen?.();
                    setError(null);
                    setOpen(true);
                }}
            >
                {word}
            </Button>
            <Dialog open={isOpen} onClose={() => setOpen(false)} aria-labelledby={id} fullWidth maxWidth="sm">
                <form
                    noValidate
                    onSubmit={(event) => {
                        event.preventDefault();
                        void send();
                    }}
                >
                    <DialogTitle id={id}>{title}</DialogTitle>
                    <DialogContent>
                        <Stack spacing={3} sx={{ pt: 1 }}>
                            {children(problem)}
                            {error !== null && (
                                <Typography role="alert" color="error">
                                    {problem?.message ?? words.notSaved}
                                    {problem?.changes.map((change) => ` ${change}`)}
                                </Typography>
                            )}
                        </Stack>
                    </DialogContent>
                    <DialogActions>
                        <Button onClick={() => setOpen(false)}>{words.cancel}</Button>
                        <Button type="submit" variant="contained" disabled={!isReady || isSaving}>
                            {done}
                        </Button>
                    </DialogActions>
                </form>
            </Dialog>
        </>
    );
}
