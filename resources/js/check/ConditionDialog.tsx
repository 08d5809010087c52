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
import { todayThere } from '../api/today';
import { counted } from './rows';
import { words } from './words';

const meaning: Record<Condition, string> = {
    good: words.goodWholeCleanAndSealed,
    opened: words.openedThePackIsNo,
    damaged: words.damagedCrushedCutOrWet,
    soiled: words.soiledTheWrapperIsDirty,
    failed: words.failedATestFailedSuch,
};

interface ConditionDialogProps {
    open: boolean;
    row: DraftRow;
    onClose: () => void;
    onChoose: (condition: Condition, pieces: number, openedOn: string | null) => void;
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
    const there = counted(row) ?? row.recorded;
    const [condition, setCondition] = useState<Condition>(row.condition);
    const [pieces, setPieces] = useState(String(there));
    const [openedOn, setOpenedOn] = useState(row.openedOn ?? '');
    const isAhead = openedOn > todayThere();
    const isSound =
        /^\d+$/.test(pieces) && Number(pieces) >= 1 && Number(pieces) <= there && !(condition === 'opened' && isAhead);
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        if (isSound) {
            onChoose(condition, Number(pieces), condition === 'opened' && openedOn !== '' ? openedOn : null);
            onClose();
        }
    };
    return (
        <form onSubmit={submit} onKeyDown={(event) => event.stopPropagation()}>
            <DialogTitle id="condition">
                {words.conditionOf}
                {row.name}
                {row.lot && words.lot(row.lot)}
            </DialogTitle>
            <DialogContent sx={{ display: 'grid', gap: 3 }}>
                <RadioGroup
                    aria-label={words.condition}
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
                {condition === 'opened' && (
                    <TextField
                        label={words.openedOnIfKnown}
                        type="date"
                        value={openedOn}
                        onChange={(event) => setOpenedOn(event.target.value)}
                        error={isAhead}
                        helperText={
                            isAhead
                                ? words.notAfterToday
                                : row.openedLifeDays === null
                                  ? words.notUsedOnceOpened
                                  : words.goodForDaysOnceOpened(String(row.openedLifeDays))
                        }
                        slotProps={{ htmlInput: { max: todayThere() }, inputLabel: { shrink: true } }}
                        sx={{ maxWidth: 360 }}
                    />
                )}
                <TextField
                    label={words.howManyOf(there)}
                    value={pieces}
                    onFocus={(event) => event.target.select()}
                    onChange={(event) => setPieces(event.target.value.trim())}
                    error={!isSound}
                    helperText={isSound ? words.theOthersStayAsThey : words.piecesAreWhole(there)}
                    slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 6 } }}
                    sx={{ maxWidth: 200, mt: 1 }}
                />
            </DialogContent>
            <DialogActions>
                <Button onClick={onClose}>{words.cancel}</Button>
                <Button type="submit" variant="contained" disabled={!isSound}>
                    {words.setCondition}
                </Button>
            </DialogActions>
        </form>
    );
}
