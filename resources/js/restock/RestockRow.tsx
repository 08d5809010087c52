import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Tick } from '../ui/Fields';
import { Caution } from '../ui/Page';
import { Sign } from '../ui/Sign';
import { TickCard } from '../ui/TickCard';
import { sayGoodUntil } from '../ui/words';
import { piecesOf, stagingOf } from './draft';
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
    const staging = stagingOf(step);
    const problem =
        error ??
        (pieces === null ? words.piecesAreWhole : pieces > row.quantity ? words.farMore(row.quantity) : undefined);
    const name = `${step.way === 'out' ? words.takeOut : words.putIn} ${what.name}, ${what.lot ? words.lot(what.lot) : words.noLot}`;
    return (
        <TickCard
            name={name}
            isDone={step.isDone}
            isLocked={waits.length > 0 || isAbsent}
            onTick={(isDone) => onChange({ isDone })}
            onFocus={onFocus}
            pieces={isAbsent ? '0' : step.quantity}
            piecesName={words.pieces2(name)}
            isFixed={isAbsent}
            onPieces={(quantity) => onChange({ quantity })}
            problem={problem}
            below={
                step.way === 'in' &&
                (step.isAdded ? (
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
                ))
            }
        >
            <Typography sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                <Sign of={what.item_class ?? ''} size={24} />
                <span>
                    <strong>{step.way === 'out' ? words.out : words.inWord}</strong> {what.name}
                </span>
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {what.lot ? words.lot(what.lot) : words.noLot}, {sayGoodUntil(what.good_until, null)}
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
                            .join(' and '),
                        waits.length,
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
            {staging !== null && step.isDone && (
                // The card is ticked where it is pressed; this is ticked by itself.
                <Box onClick={(event) => event.stopPropagation()}>
                    <Tick
                        label={words.stagedAs(staging)}
                        checked={step.isStaged === true}
                        onTick={(isStaged) => onChange({ isStaged })}
                    />
                    {step.isStaged !== true && (
                        <Typography variant="body2" sx={{ fontWeight: 600 }}>
                            ▲ {words.notStagedYet}
                        </Typography>
                    )}
                </Box>
            )}
        </TickCard>
    );
}
