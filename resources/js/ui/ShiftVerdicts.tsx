import Box from '@mui/material/Box';
import type { Schemas } from '../api/client';
import { VerdictShape } from './VerdictMark';
import { sayUsers, verdictWords, words } from './words';

/** How a kit fares in each shift of its place, where shifts fare differently: its verdict is the worst of them. */
export function ShiftVerdicts({ shifts }: { shifts: Schemas['ShiftVerdictResource'][] }) {
    if (new Set(shifts.map((one) => one.verdict)).size < 2) {
        return null;
    }
    return (
        <Box
            component="ul"
            aria-label={words.byShift}
            sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, listStyle: 'none', m: 0, p: 0, typography: 'body2' }}
        >
            {shifts.map((one) => (
                <Box component="li" key={one.shift} sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
                    <VerdictShape verdict={one.verdict} size={13} />
                    <span>
                        {words.inShift(one.shift, one.now)}
                        {': '}
                        {verdictWords[one.verdict]} ({sayUsers(one.scope)})
                    </span>
                </Box>
            ))}
        </Box>
    );
}

/** The same in a sentence: "Day shift: Ready, evening shift, now: Not ready (nobody trained)". */
export function sayShifts(shifts: Schemas['ShiftVerdictResource'][]): string {
    return shifts
        .map((one) => `${words.inShift(one.shift, one.now)}: ${verdictWords[one.verdict]} (${sayUsers(one.scope)})`)
        .join(', ');
}
