import TextField from '@mui/material/TextField';
import { useState, type Ref } from 'react';
import { readPrinted } from '../ui/words';
import { words } from './words';

interface DateFieldProps {
    inputRef: Ref<HTMLInputElement>;
    expires: string | null;
    /** What was typed before and could not be read. */
    unread: string | null;
    label: string;
    error: string | undefined;
    onRead: (typed: string) => void;
    onDone: () => void;
}

/** A date typed as it is printed on the pack. What it was read as stands below it. */
export function DateField({ inputRef, expires, unread, label, error, onRead, onDone }: DateFieldProps) {
    const [typed, setTyped] = useState(unread ?? expires ?? '');
    const read = typed === '' ? null : readPrinted(typed);
    const isUnread = typed !== '' && read === null;
    const finish = () => {
        if (isUnread || unread !== null || (read ?? '') !== (expires ?? '')) {
            onRead(typed);
        }
    };
    return (
        <TextField
            inputRef={inputRef}
            value={typed}
            placeholder={words.noDate}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={finish}
            onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === 'Escape') {
                    event.preventDefault();
                    event.stopPropagation();
                    finish();
                    onDone();
                }
            }}
            error={isUnread || error !== undefined}
            helperText={error ?? (isUnread ? words.typeItAsPrinted03 : undefined)}
            slotProps={{ htmlInput: { 'aria-label': label, maxLength: 20 }, formHelperText: { sx: { mx: 0 } } }}
            sx={{ width: 132 }}
        />
    );
}
