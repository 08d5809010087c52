import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Sheet } from '../ui/Page';
import { sayDay } from '../ui/words';
import type { RestockDraft } from './draft';
import { why } from './RestockRow';
import { words } from './words';

const notAdvised: Record<Schemas['NotAdvisedResource']['because'], string> = {
    no_companion: words.itsCompanionIsMissing,
    overweight: words.kitWouldBeTooHeavy,
    expires_no_later: words.expiresNoLater,
    lowers_verdict: words.lowersTheVerdict,
};

/** What stays though it should leave, since it still counts, with whose it is and until when; and what had better not be put in. */
export function HeldBack({ draft }: { draft: RestockDraft }) {
    return (
        <>
            {draft.stays.length > 0 && (
                <Box sx={{ mt: 4 }}>
                    <Sheet title={words.staysForNow}>
                        <Box component="ul" sx={{ m: 0, pl: 5 }}>
                            {draft.stays.map((row, at) => (
                                <li key={at}>
                                    {row.quantity} × {row.name}
                                    {row.lot && `, ${words.lot(row.lot)}`}: {why[row.because] ?? row.because}.{' '}
                                    {words.replacesItBy(row.owner, sayDay(row.by))}
                                </li>
                            ))}
                        </Box>
                        <Typography variant="body2" sx={{ color: 'text.secondary', mt: 2 }}>
                            {words.stillCountsHere}
                        </Typography>
                    </Sheet>
                </Box>
            )}
            {draft.notAdvised.length > 0 && (
                <Box sx={{ mt: 4 }}>
                    <Sheet title={words.notAdvised}>
                        <Box component="ul" sx={{ m: 0, pl: 5 }}>
                            {draft.notAdvised.map((row, at) => (
                                <li key={at}>
                                    {row.quantity} × {row.name}
                                    {row.lot && `, ${words.lot(row.lot)}`}: {notAdvised[row.because]}
                                </li>
                            ))}
                        </Box>
                    </Sheet>
                </Box>
            )}
        </>
    );
}

/** What the kit wants and the store lacks. */
export function Missing({ missing }: { missing: Schemas['MissingResource'][] }) {
    return (
        missing.length > 0 && (
            <Box sx={{ mt: 4 }}>
                <Sheet title={words.outOfStock}>
                    <Box component="ul" sx={{ m: 0, pl: 5 }}>
                        {missing.map((row) => (
                            <li key={`${row.line ?? ''} ${row.what}`}>
                                {row.quantity} × {row.what}
                            </li>
                        ))}
                    </Box>
                    <Typography variant="body2" sx={{ color: 'text.secondary', mt: 2 }}>
                        {words.toBeBoughtTheKits}
                    </Typography>
                </Sheet>
            </Box>
        )
    );
}
