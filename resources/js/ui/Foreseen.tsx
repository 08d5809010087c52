import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../api/client';
import { VerdictMark } from './VerdictMark';
import { count, words } from './words';

type Foreseen = Schemas['ForeseenResource'];

/** Sent with a request, it is answered with what the request would do, and nothing is recorded. */
type Headers = Record<string, string>;

const FORESEE: Headers = { Foresee: 'yes' };

interface ForeseenOptions<T, V> {
    /** The request, with these headers added. */
    write: (headers: Headers, what: V) => Promise<T>;
    onSuccess: (answer: T, what: V) => unknown;
}

/** Does something that may change which kits are ready: first it is shown which, and done when that was seen. */
export function useForeseen<T, V = void>({ write, onSuccess }: ForeseenOptions<T, V>) {
    const [shown, setShown] = useState<{ foreseen: Foreseen; what: V } | null>(null);
    const save = useMutation({
        mutationFn: (what: V) => write({}, what),
        onSuccess: (answer, what) => onSuccess(answer, what),
        onSettled: () => setShown(null),
    });
    const look = useMutation({
        mutationFn: (what: V) => write(FORESEE, what) as Promise<unknown>,
        onSuccess: (answer, what) => {
            const foreseen = answer as Foreseen;
            if (foreseen.changes.length > 0 || foreseen.judged < foreseen.concerned) {
                setShown({ foreseen, what });
            } else {
                save.mutate(what);
            }
        },
    });
    const dialog: ReactNode = shown && (
        <ForeseenDialog
            foreseen={shown.foreseen}
            isPending={save.isPending}
            onDo={() => save.mutate(shown.what)}
            onClose={() => setShown(null)}
        />
    );
    return {
        /** Looks ahead, and does it where no kit's verdict changes. */
        begin: (what: V) => {
            save.reset();
            look.mutate(what);
        },
        isPending: look.isPending || save.isPending,
        isSuccess: save.isSuccess,
        error: look.error ?? save.error,
        dialog,
    };
}

interface ForeseenDialogProps {
    foreseen: Foreseen;
    isPending: boolean;
    onDo: () => void;
    onClose: () => void;
}

function ForeseenDialog({ foreseen, isPending, onDo, onClose }: ForeseenDialogProps) {
    const { changes, concerned, judged } = foreseen;
    const worse = new Set(changes.filter((change) => change.worse).map((change) => change.kit)).size;
    return (
        <Dialog open onClose={onClose} aria-labelledby="foreseen" fullWidth maxWidth="sm">
            <DialogTitle id="foreseen">
                {words.thisChanges(count(new Set(changes.map((change) => change.kit)).size, 'kit'), worse)}
            </DialogTitle>
            <DialogContent>
                {judged < concerned && <Typography sx={{ mb: 2 }}>{words.judgedOf(judged, concerned)}</Typography>}
                <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
                    {changes.map((change) => (
                        <Box
                            component="li"
                            key={`${change.kit} ${change.shift ?? ''}`}
                            sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}
                        >
                            <Typography>
                                <strong>
                                    {change.kit} {change.kit_name}
                                </strong>
                                , {change.place}
                                {change.shift !== null && words.inThatShift(change.shift)}
                            </Typography>
                            <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, alignItems: 'center' }}>
                                <span>{words.nowWord}</span> <VerdictMark verdict={change.now} />
                                <span>{words.thenWord}</span> <VerdictMark verdict={change.then} />
                            </Box>
                        </Box>
                    ))}
                </Box>
            </DialogContent>
            <DialogActions sx={{ gap: 2, p: 4 }}>
                <Button autoFocus onClick={onClose}>
                    {words.goBack}
                </Button>
                <Button variant="contained" onClick={onDo} disabled={isPending}>
                    {words.doItAnyway}
                </Button>
            </DialogActions>
        </Dialog>
    );
}
