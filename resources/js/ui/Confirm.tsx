import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogTitle from '@mui/material/DialogTitle';
import { words } from './words';

interface ConfirmProps {
    question: string;
    /** What the button says that does it. */
    word: string;
    onConfirm: () => void;
    onClose: () => void;
}

/** Asks before something is discarded: in another place than where it was pressed, so that two quick presses do not do it. */
export function Confirm({ question, word, onConfirm, onClose }: ConfirmProps) {
    return (
        <Dialog open onClose={onClose} aria-labelledby="confirm">
            <DialogTitle id="confirm">{question}</DialogTitle>
            <DialogActions sx={{ gap: 2, p: 4 }}>
                <Button variant="contained" autoFocus onClick={onClose}>
                    {words.cancel}
                </Button>
                <Button color="error" onClick={onConfirm}>
                    {word}
                </Button>
            </DialogActions>
        </Dialog>
    );
}
