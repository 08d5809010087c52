import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { questions } from '../api/queries';
import { Search } from '../ui/Search';
import { sayPrinted } from '../ui/words';
import type { DraftRow, PrintedLot } from './draft';
import { asksForLot, isSameLot } from './rows';
import { words } from './words';

interface LotQuestionProps {
    row: DraftRow;
    set: (to: Partial<DraftRow>) => void;
    /** Told in words that the record is wrong, for the note of the check. */
    onMisprint: (sentence: string) => void;
}

function sayLot({ lot, expires }: PrintedLot): string {
    return `${lot ?? words.noLot}, ${expires ? sayPrinted(expires) : words.noDate}`;
}

/**
 * A lot or date that is not on record is settled at its row: another lot of this item, a misprint on record, or a new lot. The lots on
 * record are read where the server answers; else as they were read last.
 */
export function LotQuestion({ row, set, onMisprint }: LotQuestionProps) {
    const asks = asksForLot(row);
    const { data: lots } = useQuery({ ...questions.lots(row.item), enabled: asks });
    const isKnown = asks && lots?.some((one) => isSameLot(one, row)) === true;
    useEffect(() => {
        if (isKnown) {
            set({ known: { lot: row.lot, expires: row.expires } });
        }
    });
    if (!asks || isKnown) {
        return null;
    }
    const { origin } = row;
    const isTyped = row.lot !== null || row.expires !== null || origin !== null;
    return (
        <Box role="group" aria-label={words.whichLot(row.name)} sx={{ mt: 2, display: 'grid', gap: 2 }}>
            <Typography role="alert" variant="body2" sx={{ fontWeight: 700 }}>
                {isTyped
                    ? lots === undefined
                        ? words.notKnownHere(sayLot(row))
                        : words.notOnRecord(sayLot(row))
                    : words.whichLotIsIt}
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
                <Button size="small" onClick={() => set({ newLot: true })}>
                    {isTyped ? words.aNewLot : words.ithasNeither}
                </Button>
                {origin && (
                    <Button
                        size="small"
                        onClick={() => {
                            onMisprint(words.recordIsWrong(row.name, sayLot(row), sayLot(origin)));
                            set({ newLot: true });
                        }}
                    >
                        {words.theRecordIsWrong}
                    </Button>
                )}
            </Box>
            {lots && lots.length > 0 && (
                <Search
                    label={words.anotherLotOnRecord}
                    value=""
                    clears
                    options={lots.map((one, at) => [String(at), sayLot(one)] as const)}
                    onChoose={(at) => {
                        const lot = lots[Number(at)];
                        if (at !== '' && lot) {
                            set({ lot: lot.lot, expires: lot.expires, unread: null, known: lot });
                        }
                    }}
                    sx={{ maxWidth: 320 }}
                />
            )}
        </Box>
    );
}
