import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState, type Ref } from 'react';
import { dateOrder, isNoDay, readPrinted, sayDay, twoReadings, type DateOrder } from '../ui/words';
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
    const [order, setOrder] = useState(dateOrder.read);
    const read = typed === '' ? null : readPrinted(typed, order);
    const isUnread = typed !== '' && read === null;
    const readings = isUnread ? twoReadings(typed) : null;
    const finish = () => {
        if (isUnread || unread !== null || (read ?? '') !== (expires ?? '')) {
            onRead(typed);
        }
    };
    const answer = (to: DateOrder) => {
        dateOrder.keep(to);
        setOrder(to);
        onRead(readings?.[to] ?? typed);
    };
    return (
        <Box>
            <TextField
                inputRef={inputRef}
                value={typed}
                placeholder={words.noDate}
                onChange={(event) => setTyped(event.target.value)}
                onBlur={finish}
                onFocus={(event) => event.target.select()}
                onKeyDown={(event) => {
                    if (event.key === 'Enter' || event.key === 'Escape') {
                        event.preventDefault();
                        event.stopPropagation();
                        finish();
                        onDone();
                    }
                }}
                error={isUnread || error !== undefined}
                helperText={
                    error ??
                    (readings
                        ? words.dayOrMonthFirst
                        : isUnread
                          ? isNoDay(typed, order)
                              ? words.thereIsNoSuchDay
                              : words.typeItAsPrinted03
                          : undefined)
                }
                slotProps={{ htmlInput: { 'aria-label': label, maxLength: 20 }, formHelperText: { sx: { mx: 0 } } }}
                sx={{ width: 132 }}
            />
            {readings && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 1 }}>
                    <Button size="small" onClick={() => answer('day')}>
                        {words.dayFirst(sayDay(readings.day))}
                    </Button>
                    <Button size="small" onClick={() => answer('month')}>
                        {words.monthFirst(sayDay(readings.month))}
                    </Button>
                </Box>
            )}
        </Box>
    );
}
