import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import InputBase from '@mui/material/InputBase';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRef, useState, type KeyboardEvent } from 'react';
import { dateOrder, readPrinted, sayDay, sayExpiry } from '../ui/words';
import { ConditionDialog } from './ConditionDialog';
import { DateField } from './DateField';
import { changeRow, removeRow, setCondition, type Draft, type DraftRow } from './draft';
import { counted, isFarTooMany } from './rows';
import { LotQuestion } from './LotQuestion';
import { moveBy } from './PocketLines';
import { words } from './words';

interface CountRowProps {
    row: DraftRow;
    index: number;
    draft: Draft;
    change: (to: (draft: Draft) => Draft) => void;
    /** The name that stands above already. */
    shownName: string | null;
}

/** One lot in one condition: how many are there, of how many recorded, its date and its condition. */
export function CountRow({ row, index, draft, change, shownName }: CountRowProps) {
    const [asks, setAsks] = useState(false);
    const count = useRef<HTMLInputElement>(null);
    const date = useRef<HTMLInputElement>(null);
    const set = (to: Partial<DraftRow>) => change((now) => changeRow(now, row.key, to));
    const setLot = (to: Partial<DraftRow>) => set({ newLot: false, ...to });
    const step = (by: number) => set({ quantity: String(Math.max(0, (counted(row) ?? row.recorded) + by)) });
    const error = (field: string) => draft.errors[`rows.${index}.${field}`]?.[0];
    const lotError = error('lot');
    const what = `${row.name}, ${row.lot ? words.lot2(row.lot) : words.noLot}`;

    const asRecorded = () => set({ quantity: String(row.added ? row.quantity || 0 : row.recorded) });
    const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
        const input = event.target as HTMLElement;
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            moveBy(input, event.key === 'ArrowDown' ? 1 : -1);
        } else if (event.key === 'Enter' && !event.shiftKey) {
            event.preventDefault();
            if (row.quantity === '') {
                asRecorded();
            }
            moveBy(input, 1);
        } else if (event.key.toLowerCase() === 'd') {
            event.preventDefault();
            date.current?.focus();
        } else if (event.key.toLowerCase() === 'c') {
            event.preventDefault();
            setAsks(true);
        }
    };
    const number = counted(row);
    const isUnread = row.quantity !== '' && number === null;
    const difference = number === null ? null : number - row.recorded;
    return (
        <Box
            sx={{
                mt: 2,
                p: 2,
                borderRadius: '6px',
                border: 1,
                borderColor: number === null ? 'text.secondary' : 'divider',
            }}
        >
            {row.name !== shownName && (
                <Typography variant="body2">{row.name !== shownName && <strong>{row.name}</strong>}</Typography>
            )}
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '8px 12px', alignItems: 'center' }}>
                <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
                    <Stepper word="−" label={words.fewerPieces(what)} onClick={() => step(-1)} />
                    <InputBase
                        inputRef={count}
                        value={row.quantity}
                        onChange={(event) => set({ quantity: event.target.value.trim().replace(/^0+(?=\d)/, '') })}
                        onFocus={(event) => event.target.select()}
                        onKeyDown={onKeyDown}
                        placeholder="–"
                        inputProps={{
                            inputMode: 'numeric',
                            'aria-label': words.countOfRecorded(what, row.recorded),
                            'aria-invalid': isUnread || error('quantity') !== undefined,
                            'data-count': true,
                            'data-open': number === null,
                            maxLength: 7,
                        }}
                        sx={{
                            width: 62,
                            height: 44,
                            px: 2,
                            border: 1,
                            borderColor: isUnread || error('quantity') ? 'error.main' : 'text.secondary',
                            borderRadius: '6px',
                            fontWeight: 700,
                            fontSize: 18,
                            '& input': { textAlign: 'right' },
                        }}
                    />
                    <Stepper word="+" label={words.morePieces(what)} onClick={() => step(1)} />
                    <Box component="span" sx={{ fontSize: 14 }}>
                        {row.added ? 'found' : words.countedRecorded(row.recorded)}
                        {difference !== null && difference !== 0 && !row.added && (
                            <strong>, {difference > 0 ? words.more(difference) : words.fewer(-difference)}</strong>
                        )}
                    </Box>
                </Box>
                {row.quantity === '' && (
                    <Button
                        size="small"
                        onClick={asRecorded}
                        aria-label={row.added ? words.asRecorded(what) : `${words.asRecordedOf(row.recorded)}, ${what}`}
                        sx={{
                            // In hand the largest target of the card, and its first.
                            minHeight: { xs: 56, md: 36 },
                            width: { xs: '100%', md: 'auto' },
                            order: { xs: -1, md: 0 },
                            fontSize: { xs: 17, md: 14 },
                        }}
                    >
                        {row.added ? words.asRecorded2 : words.asRecordedOf(row.recorded)}
                    </Button>
                )}
                {row.added ? (
                    <TextField
                        label={words.lot3}
                        value={row.lot ?? ''}
                        onChange={(event) => setLot({ lot: event.target.value || null })}
                        error={lotError !== undefined}
                        sx={{ width: 120 }}
                        slotProps={{ htmlInput: { maxLength: 60, 'aria-label': words.lotOf(row.name) } }}
                    />
                ) : null}
                <DateField
                    key={row.expires ?? ''}
                    inputRef={date}
                    expires={row.expires}
                    unread={row.unread}
                    label={words.dateOf(what)}
                    error={error('expires')}
                    onRead={(typed) => {
                        const read = readPrinted(typed, dateOrder.read());
                        setLot(typed === '' || read ? { expires: read, unread: null } : { unread: typed });
                    }}
                    onDone={() => count.current?.focus()}
                />
                <Button size="small" onClick={() => setAsks(true)} aria-label={words.conditionOf2(what, row.condition)}>
                    {sayCondition(row)}
                </Button>
                {row.added && (
                    <Button
                        size="small"
                        onClick={() => change((now) => removeRow(now, row.key))}
                        aria-label={words.notFoundAfterAll(what)}
                    >
                        {words.notFoundAfterAll2}
                    </Button>
                )}
            </Box>
            <Typography variant="body2" sx={{ color: 'text.secondary', mt: 1 }}>
                {row.lot ? words.lot2(row.lot) : words.noLot},{' '}
                {row.expires ? sayExpiry(row.expires) : row.dated ? words.noExpiryDateOnRecord : 'undated'}
            </Typography>
            {[
                lotError,
                isUnread ? words.aCountIsAWholeNumber : undefined,
                error('quantity'),
                error('item'),
                error('pocket_id'),
            ]
                .filter(Boolean)
                .map((message) => (
                    <Typography key={message} role="alert" variant="body2" sx={{ color: 'error.main', mt: 1 }}>
                        {message}
                    </Typography>
                ))}
            {isFarTooMany(row) && number !== null && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', mt: 1 }}>
                    <Typography role="alert" variant="body2" sx={{ fontWeight: 700 }}>
                        {words.isItSoMany(number, row.recorded)}
                    </Typography>
                    <Button size="small" onClick={() => set({ sure: number })}>
                        {words.yesSoMany(number)}
                    </Button>
                </Box>
            )}
            <LotQuestion
                row={row}
                set={set}
                onMisprint={(sentence) => change((now) => ({ ...now, note: `${now.note} ${sentence}`.trim() }))}
            />
            {(lotError !== undefined || row.newLot) && (
                <FormControlLabel
                    control={
                        <Checkbox checked={row.newLot} onChange={(event) => set({ newLot: event.target.checked })} />
                    }
                    label={words.thisLotIsNewIt}
                />
            )}
            <ConditionDialog
                open={asks}
                row={row}
                onClose={() => {
                    setAsks(false);
                    requestAnimationFrame(() => count.current?.focus());
                }}
                onChoose={(condition, pieces, openedOn) =>
                    change((now) => setCondition(now, row.key, condition, pieces, openedOn))
                }
            />
        </Box>
    );
}

function sayCondition(row: DraftRow): string {
    if (row.condition === 'good') {
        return words.good;
    }
    return row.condition === 'opened' && row.openedOn !== null
        ? words.openedOn(sayDay(row.openedOn))
        : `▲ ${row.condition}`;
}

/** One more or one fewer, for a thumb; at the desk figures are typed. */
function Stepper({ word, label, onClick }: { word: string; label: string; onClick: () => void }) {
    return (
        <Button
            aria-label={label}
            onClick={onClick}
            sx={{ display: { xs: 'inline-flex', md: 'none' }, minWidth: 48, minHeight: 48, p: 0, fontSize: 22 }}
        >
            {word}
        </Button>
    );
}
