import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Caution } from '../ui/Page';
import { sayGoodUntil } from '../ui/words';
import { piecesOf } from './draft';
import type { Step } from './steps';
import { words } from './words';

interface RestockRowProps {
    step: Step;
    error: string | undefined;
    /** What has to be in first. */
    waits: Step[];
    onChange: (to: { quantity?: string; isDone?: boolean }) => void;
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
export function RestockRow({ step, error, waits, onChange, onFocus }: RestockRowProps) {
    const { row } = step;
    const pieces = piecesOf(step);
    const problem =
        error ??
        (pieces === null ? words.piecesAreWhole : pieces > row.quantity ? words.farMore(row.quantity) : undefined);
    const name = `${step.way === 'out' ? words.takeOut : words.putIn} ${row.name}, ${row.lot ? words.lot(row.lot) : words.noLot}`;
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
                disabled={waits.length > 0}
                onChange={(event) => onChange({ isDone: event.target.checked })}
                slotProps={{ input: { 'aria-label': name } }}
                sx={{ width: 44, height: 44 }}
            />
            <Box
                sx={{ minWidth: 0, minHeight: { xs: 56, md: 0 }, cursor: 'pointer' }}
                onClick={() => waits.length === 0 && onChange({ isDone: !step.isDone })}
            >
                <Typography>
                    <strong>{step.way === 'out' ? words.out : words.inWord}</strong> {row.name}
                </Typography>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {row.lot ? words.lot(row.lot) : words.noLot}, {sayGoodUntil(row.good_until, false)}
                    {step.way === 'out' &&
                        `; ${why[step.row.because] ?? step.row.because}, ${step.row.to === 'discard' ? words.toBeDisposedOf : words.returnToStore}`}
                    {step.way === 'in' && step.row.short_dated && words.shortDated}
                    {step.way === 'in' && step.row.stands_in && words.replaces(step.row.need)}
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
                <Caution text={row.caution} />
            </Box>
            <TextField
                value={step.quantity}
                onFocus={(event) => event.target.select()}
                onChange={(event) => onChange({ quantity: event.target.value.trim() })}
                error={problem !== undefined}
                helperText={problem}
                slotProps={{
                    htmlInput: { inputMode: 'numeric', 'aria-label': words.pieces2(name), maxLength: 6 },
                    formHelperText: { sx: { minWidth: 200, ml: -28 } },
                }}
            />
        </Box>
    );
}
