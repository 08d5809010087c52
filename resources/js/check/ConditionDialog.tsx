import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import TextField from '@mui/material/TextField';
import { useState, type SyntheticEvent } from 'react';
import { conditions, type Condition, type DraftRow } from './draft';

const meaning: Record<Condition, string> = {
    good: 'Good: whole, clean and sealed as it should be',
    opened: 'Opened: the pack is no longer closed',
    damaged: 'Damaged: crushed, cut or wet',
    soiled: 'Soiled: the wrapper is dirty or torn',
    failed: 'Failed: a test failed, such as a dead torch or a dried-out pen',
};

interface ConditionDialogProps {
    open: boolean;
    row: DraftRow;
    onClose: () => void;
    onChoose: (condition: Condition, pieces: number) => void;
}

/** The condition of some or all pieces of a row. */
export function ConditionDialog({ open, row, onClose, onChoose }: ConditionDialogProps) {
    return (
        <Dialog open={open} onClose={onClose} aria-labelledby="condition">
            {open && <Choice row={row} onClose={onClose} onChoose={onChoose} />}
        </Dialog>
    );
}

function Choice({ row, onClose, onChoose }: Omit<ConditionDialogProps, 'open'>) {
    const there = row.quantity === '' ? row.recorded : Number(row.quantity);
    const [condition, setCondition] = useState<Condition>(row.condition);
    const [pieces, setPieces] = useState(String(there));
    const isSound = Number(pieces) >= 1 && Number(pieces) <= there;
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        if (isSound) {
            onChoose(condition, Number(pieces));
            onClose();
        }
    };
    return (
        <form onSubmit={submit} onKeyDown={(event) => event.stopPropagation()}>
            <DialogTitle id="condition">
                Condition of {row.name}
                {row.lot && `, lot ${row.lot}`}
            </DialogTitle>
            <DialogContent sx={{ display: 'grid', gap: 3 }}>
                <RadioGroup
                    aria-label="Condition"
                    value={condition}
                    onChange={(event) => setCondition(event.target.value as Condition)}
                >
                    {conditions.map((one) => (
                        <FormControlLabel
                            key={one}
                            value={one}
                            control={<Radio autoFocus={one === row.condition} />}
                            label={meaning[one]}
                        />
                    ))}
                </RadioGroup>
                <TextField
                    label={`How many of ${there}`}
                    value={pieces}
                    onChange={(event) => setPieces(event.target.value.replace(/\D/g, ''))}
                    error={!isSound}
                    helperText={isSound ? 'The others stay as they are.' : `From 1 to ${there}.`}
                    slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 6 } }}
                    sx={{ maxWidth: 200, mt: 1 }}
                />
            </DialogContent>
            <DialogActions>
                <Button onClick={onClose}>Cancel</Button>
                <Button type="submit" variant="contained" disabled={!isSound}>
                    Set condition
                </Button>
            </DialogActions>
        </form>
    );
}
