import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { useNavigate } from 'react-router';
import { device } from '../offline/device';
import { Trouble } from '../ui/Page';
import { count } from '../ui/words';
import { words } from './words';

const PATIENCE_MS = 8_000;

interface UnsentDialogProps {
    onLeave: () => void;
    onStay: () => void;
    error: Error | null;
    isLeaving: boolean;
}

/** Asks what to do with records that this device has not sent, before somebody signs out. */
export default function UnsentDialog({ onLeave, onStay, error, isLeaving }: UnsentDialogProps) {
    const navigate = useNavigate();
    const unsent = useSyncExternalStore(device.subscribe, () => device.unsent());
    const waiting = unsent.filter((one) => one.isWaiting).length;
    const send = useMutation({ mutationFn: sent, onSuccess: (all) => all && onLeave() });
    return (
        <Dialog open fullWidth maxWidth="sm" aria-labelledby="unsent" onClose={onStay}>
            <DialogTitle id="unsent">{words.notAllIsSent}</DialogTitle>
            <DialogContent>
                <Typography>{words.unsentHere(count(unsent.length, 'record'), waiting)}</Typography>
                <Typography sx={{ mt: 2 }}>{words.itStaysLocked}</Typography>
                {send.data === false && <Typography role="alert">{words.stillNotSent}</Typography>}
                {error && <Trouble error={error} />}
            </DialogContent>
            <DialogActions sx={{ flexWrap: 'wrap', gap: 2, p: 4 }}>
                <Button
                    variant="contained"
                    onClick={() => {
                        onStay();
                        void navigate('/waiting');
                    }}
                >
                    {words.stayAndSee}
                </Button>
                {waiting > 0 && (
                    <Button onClick={() => send.mutate()} disabled={send.isPending}>
                        {send.isPending ? words.sending : words.sendNow}
                    </Button>
                )}
                <Button onClick={onLeave} disabled={isLeaving}>
                    {words.leaveItLocked}
                </Button>
            </DialogActions>
        </Dialog>
    );
}

/** Has it sent at once; whether nothing waits any more. */
function sent(): Promise<boolean> {
    return new Promise((done) => {
        const isDone = () => !device.unsent().some((one) => one.isWaiting);
        const stop = device.subscribe(() => {
            if (isDone()) {
                end(true);
            }
        });
        const later = window.setTimeout(() => end(isDone()), PATIENCE_MS);
        const end = (all: boolean) => {
            window.clearTimeout(later);
            stop();
            done(all);
        };
        // Whoever sends listens for a connection that is there again.
        window.dispatchEvent(new Event('online'));
    });
}
