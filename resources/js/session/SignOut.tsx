import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, useSyncExternalStore } from 'react';
import { useNavigate } from 'react-router';
import { device } from '../offline/device';
import { Icon } from '../ui/Icon';
import { Trouble } from '../ui/Page';
import { count } from '../ui/words';
import { useSignOut } from './useSession';
import { words } from './words';

const PATIENCE_MS = 8_000;

/** Signs out; asks first where something on this device is not sent. */
export function SignOut() {
    const signOut = useMutation({ mutationFn: useSignOut() });
    const [isAsked, setAsked] = useState(false);
    return (
        <>
            <ButtonBase
                onClick={() => (device.unsent().length > 0 ? setAsked(true) : signOut.mutate())}
                sx={{ gap: 2, px: 3, minHeight: 44, borderRadius: '6px', fontWeight: 600, color: 'primary.main' }}
            >
                <Icon name="out" size={18} />
                {words.signOut2}
            </ButtonBase>
            {signOut.error && !isAsked && <Trouble error={signOut.error} />}
            {isAsked && (
                <Unsent
                    onLeave={() => signOut.mutate()}
                    onStay={() => setAsked(false)}
                    error={signOut.error}
                    isLeaving={signOut.isPending}
                />
            )}
        </>
    );
}

interface UnsentProps {
    onLeave: () => void;
    onStay: () => void;
    error: Error | null;
    isLeaving: boolean;
}

function Unsent({ onLeave, onStay, error, isLeaving }: UnsentProps) {
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
