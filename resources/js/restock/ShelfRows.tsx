import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Pager, ShowOnly } from '../ui/Listing';
import { Empty, Sheet } from '../ui/Page';
import type { Listing } from '../ui/useListing';
import { count, sayGoodUntil } from '../ui/words';
import { faultOf, piecesTyped, shelfRow, type StoreTask, type WorkRow } from './storeWork';
import { words } from './words';

const conditionWord = (condition: string) =>
    condition in words.conditionWords
        ? words.conditionWords[condition as keyof typeof words.conditionWords]
        : condition;

function nothing(task: StoreTask, read: Schemas['StoreContentsResource'], listing: Listing): string {
    if (!listing.isAll) {
        return words.noLotIsCalledSo;
    }
    if (read.store.pieces === 0) {
        return words.nothingLiesHere;
    }
    return task === 'release' ? words.nothingIsApart : words.nothingGoodLiesHere;
}

interface ShelfRowsProps {
    task: StoreTask;
    read: Schemas['StoreContentsResource'];
    listing: Listing;
    rows: WorkRow[];
    errors: Record<string, string[]>;
    onChange: (rows: WorkRow[]) => void;
}

/** The lots of the shelf, each with a field; only those in which something is typed are recorded. */
export function ShelfRows({ task, read, listing, rows, errors, onChange }: ShelfRowsProps) {
    const type = (on: WorkRow, pieces: string) => {
        const others = rows.filter((row) => row.key !== on.key);
        onChange(
            pieces === ''
                ? others
                : rows.some((row) => row.key === on.key)
                  ? rows.map((row) => (row.key === on.key ? { ...row, pieces } : row))
                  : [...rows, { ...on, pieces }],
        );
    };
    const shown = read.rows.map(shelfRow);
    // What was typed on another page of the list stays in sight.
    const elsewhere = rows.filter((row) => row.recorded !== null && !shown.some((one) => one.key === row.key));
    const things = count(read.page.in_all, 'lot');
    return (
        <Sheet title={words.onTheShelf(things)} beside={<ShowOnly listing={listing} />}>
            {shown.length === 0 && <Empty>{nothing(task, read, listing)}</Empty>}
            {[...elsewhere, ...shown].map((row) => {
                const at = rows.findIndex((one) => one.key === row.key);
                const typed = rows[at];
                const error =
                    errors[`rows.${at}.quantity`]?.[0] ??
                    errors[`rows.${at}.lot`]?.[0] ??
                    errors[`rows.${at}.condition`]?.[0] ??
                    (typed && faultOf(typed, task) === 'pieces' ? words.wholePieces : undefined);
                const good = read.rows.find((one) => shelfRow(one).key === row.key)?.good_until ?? null;
                return (
                    <Box
                        key={row.key}
                        sx={{
                            display: 'grid',
                            gridTemplateColumns: { xs: 'minmax(0, 1fr) auto', md: 'minmax(0, 1fr) 90px 270px' },
                            gap: '4px 16px',
                            alignItems: 'center',
                            borderTop: 1,
                            borderColor: 'divider',
                            py: 1.5,
                        }}
                    >
                        <div>
                            <strong>{row.name}</strong>
                            {row.condition !== 'good' && ` ▲ ${conditionWord(row.condition)}`}
                            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                {row.lot === '' ? words.noLot : words.lotNamed(row.lot)}
                                {', '}
                                {good === null && row.expires ? row.expires : sayGoodUntil(good, null)}
                            </Typography>
                        </div>
                        <Box sx={{ textAlign: 'right', whiteSpace: 'nowrap' }}>{words.onRecord(row.recorded ?? 0)}</Box>
                        <Box
                            sx={{
                                gridColumn: { xs: '1 / -1', md: 'auto' },
                                display: 'flex',
                                gap: 2,
                                alignItems: 'flex-start',
                                justifyContent: 'flex-end',
                            }}
                        >
                            {task === 'count' && piecesTyped(typed?.pieces ?? '') === null && (
                                <Button
                                    aria-label={words.asRecordedOf(row.name, row.lot)}
                                    onClick={() => type(row, String(row.recorded ?? 0))}
                                >
                                    {words.asRecorded}
                                </Button>
                            )}
                            <TextField
                                size="small"
                                label={words.shelfFields[task]}
                                value={typed?.pieces ?? ''}
                                onChange={(event) => type(row, event.target.value)}
                                error={error !== undefined}
                                helperText={error}
                                slotProps={{
                                    htmlInput: {
                                        inputMode: 'numeric',
                                        'aria-label': words.shelfFieldOf(words.shelfFields[task], row.name, row.lot),
                                    },
                                }}
                                sx={{ width: 132 }}
                            />
                        </Box>
                    </Box>
                );
            })}
            <Pager page={read.page} listing={listing} things={things} />
        </Sheet>
    );
}
