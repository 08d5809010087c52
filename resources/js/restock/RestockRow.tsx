import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Caution } from '../ui/Page';
import { Sign } from '../ui/Sign';
import { sayGoodUntil } from '../ui/words';
import { piecesOf } from './draft';
import { Instead } from './Instead';
import { putOf, servesAsListed, type Step, type StepChange } from './steps';
import { words } from './words';

interface RestockRowProps {
    step: Step;
    error: string | undefined;
    /** What has to be in first. */
    waits: Step[];
    /** What else lies in the store. */
    shelf?: Schemas['ShelfLot'][];
    onChange: (to: StepChange) => void;
    onRemove?: () => void;
    onFocus: () => void;
}

export const why: Record<string, string> = {
    expired: 'expired',
    opened: 'opened',
    damaged: 'damaged',
    soiled: words.soiledOrTornWrapper,
    failed: words.failedItsTest,
    excluded: words.excludedByTheList,
    date_unknown: words.noDate,
    expires_early: words.expiresBeforeTheNextCheck,
    beyond_scope: words.nobodyMayUseIt,
    surplus: words.moreThanAskedFor,
};

/** One thing to take out or to put in: which lot, how many, and a tick when it is done. */
export function RestockRow({ step, error, waits, shelf = [], onChange, onRemove, onFocus }: RestockRowProps) {
    const { row } = step;
    const what = step.way === 'in' ? putOf(step) : step.row;
    const isAbsent = step.isAbsent === true;
    const pieces = piecesOf(step);
    const problem =
        error ??
        (pieces === null ? words.piecesAreWhole : pieces > row.quantity ? words.farMore(row.quantity) : undefined);
    const name = `${step.way === 'out' ? words.takeOut : words.putIn} ${what.name}, ${what.lot ? words.lot(what.lot) : words.noLot}`;
    return (
        <Box
            onFocus={onFocus}
            sx={{
                display: 'grid',
                gridTemplateColumns: '44px minmax(0, 1fr) 84px',
                gap: 2,
                alignItems: 'center',
                py: 2,
                borderTop: 1,
                borderColor: 'divider',
                // In hand each is a card of its own.
                mb: { xs: 2, md: 0 },
                px: { xs: 2, md: 0 },
                border: { xs: 1, md: 0 },
                borderRadius: { xs: '6px', md: 0 },
                bgcolor: { xs: step.isDone ? 'canvas' : 'background.paper', md: 'transparent' },
            }}
        >
            <Checkbox
                checked={step.isDone}
                disabled={waits.length > 0 || isAbsent}
                onChange={(event) => onChange({ isDone: event.target.checked })}
                slotProps={{ input: { 'aria-label': name } }}
                sx={{ width: 44, height: 44 }}
            />
            <Box
                sx={{ minWidth: 0, minHeight: { xs: 56, md: 0 }, cursor: 'pointer' }}
                onClick={() => waits.length === 0 && !isAbsent && onChange({ isDone: !step.isDone })}
            >
                <Typography sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                    <Sign of={what.item_class ?? ''} size={24} />
                    <span>
                        <strong>{step.way === 'out' ? words.out : words.inWord}</strong> {what.name}
                    </span>
                </Typography>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {what.lot ? words.lot(what.lot) : words.noLot}, {sayGoodUntil(what.good_until, false)}
                    {step.way === 'out' &&
                        `; ${why[step.row.because] ?? step.row.because}, ${step.row.to === 'discard' ? words.toBeDisposedOf : words.returnToStore}`}
                    {step.way === 'in' && !step.instead && step.row.short_dated && words.shortDated}
                    {step.way === 'in' && step.row.stands_in && servesAsListed(step) && words.replaces(step.row.need)}
                </Typography>
                {waits.length > 0 && (
                    <Typography variant="body2" sx={{ fontWeight: 600 }}>
                        {words.onlyAfter(
                            waits
                                .map(({ row: { name: what, lot } }) => (lot ? `${words.lot(lot)} of ${what}` : what))
                                .join(', '),
                        )}
                    </Typography>
                )}
                {step.way === 'in' && step.instead && (
                    <Typography variant="body2" sx={{ fontWeight: 600 }}>
                        {words.insteadOf(row.name, row.lot ? words.lot(row.lot) : words.noLot)}
                        {!servesAsListed(step) && ` ${words.doesNotServe(step.row.need)}`}
                    </Typography>
                )}
                {isAbsent && (
                    <Typography variant="body2" sx={{ fontWeight: 600 }}>
                        {words.notInTheStoreNow}
                    </Typography>
                )}
                <Caution text={what.caution} />
            </Box>
            <TextField
                value={isAbsent ? '0' : step.quantity}
                disabled={isAbsent}
                onFocus={(event) => event.target.select()}
                onChange={(event) => onChange({ quantity: event.target.value.trim() })}
                error={problem !== undefined}
                helperText={problem}
                slotProps={{
                    htmlInput: { inputMode: 'numeric', 'aria-label': words.pieces2(name), maxLength: 6 },
                    formHelperText: { sx: { minWidth: 200, ml: -28 } },
                }}
            />
            {step.way === 'in' && (
                <Box
                    sx={{
                        gridColumn: { xs: '1 / -1', md: '2 / -1' },
                        mt: -2,
                        '& button': { px: { md: 0 }, justifyContent: 'start', minHeight: 44 },
                    }}
                >
                    {step.isAdded ? (
                        <Button variant="text" size="small" onClick={onRemove} aria-label={words.removeAddedOf(name)}>
                            {words.removeAdded}
                        </Button>
                    ) : isAbsent || step.instead ? (
                        <Button
                            variant="text"
                            size="small"
                            aria-label={words.asListedOf(row.name)}
                            onClick={() =>
                                onChange({
                                    isAbsent: false,
                                    instead: null,
                                    quantity: String(row.quantity),
                                    isDone: false,
                                })
                            }
                        >
                            {words.asListed}
                        </Button>
                    ) : (
                        <Instead step={step} shelf={shelf} onChange={onChange} />
                    )}
                </Box>
            )}
        </Box>
    );
}
