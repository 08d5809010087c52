import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Table } from '../ui/Table';
import { count, sayCondition, sayPrinted } from '../ui/words';
import { exceeds } from '../ui/limits';
import { words } from './words';

type Row = Schemas['CheckRowResource'];

/** One deviation of a check: pieces more or fewer, or the same pieces with another date, lot, pocket or condition. */
interface Deviation {
    name: string;
    pocket: string;
    text: string;
}

/** How a row reads: its lot and date. */
function reads(row: Row): string {
    return [
        row.lot ? words.lot2(row.lot) : words.noLotNumber,
        row.expires ? words.expires(sayPrinted(row.expires)) : words.noDate,
    ].join(', ');
}

/** A changed date makes one row fewer and another more: together they are one deviation. */
export function deviations(rows: Row[]): Deviation[] {
    const found: Deviation[] = [];
    const less = rows
        .filter((row) => exceeds(row.recorded, row.counted))
        .map((row) => ({ row, left: row.recorded - row.counted }));
    for (const row of rows.filter((one) => exceeds(one.counted, one.recorded))) {
        let wanted = row.counted - row.recorded;
        for (const other of less) {
            const pieces = Math.min(wanted, other.left);
            if (pieces > 0 && other.row.item === row.item) {
                other.left -= pieces;
                wanted -= pieces;
                const changes = [
                    reads(other.row) !== reads(row) && words.recordedAs(reads(row), reads(other.row)),
                    sayCondition(other.row) !== sayCondition(row) &&
                        words.recordedAs2(sayCondition(row), sayCondition(other.row)),
                    other.row.pocket !== row.pocket && words.recordedIn(other.row.pocket),
                ].filter((change) => change !== false);
                found.push({ name: row.name, pocket: row.pocket, text: `${pieces} × ${changes.join('; ')}` });
            }
        }
        if (wanted > 0) {
            found.push({
                name: row.name,
                pocket: row.pocket,
                text: words.countedRecorded2(row.counted, row.recorded),
            });
        }
    }
    for (const { row, left } of less) {
        if (left > 0) {
            found.push({
                name: row.name,
                pocket: row.pocket,
                text: words.ofRecorded(
                    row.counted,
                    row.recorded,
                    left < row.recorded - row.counted ? `, ${left} not found` : '',
                ),
            });
        }
    }
    return found;
}

/** What was counted at a check, beside what was on record: the deviations, and every row on demand. */
export function CountedRows({ check }: { check: Schemas['CheckResource'] }) {
    if (check.rows.length === 0) {
        return <Typography sx={{ mt: 2 }}>{words.theKitWasLeftClosed}</Typography>;
    }
    const others = deviations(check.rows);
    return (
        <>
            <Typography sx={{ mt: 2 }}>
                {count(
                    check.rows.reduce((sum, row) => sum + row.counted, 0),
                    'piece',
                )}{' '}
                counted,{' '}
                {others.length === 0 ? words.allAsRecorded : words.fromTheRecord(count(others.length, 'deviation'))}.
            </Typography>
            {others.length > 0 && (
                <Box component="ul" sx={{ mt: 1, mb: 2, pl: 5 }}>
                    {others.map((one, index) => (
                        <li key={index}>
                            {one.name}, {one.pocket}: <strong>{one.text}</strong>
                        </li>
                    ))}
                </Box>
            )}
            <Box component="details" sx={{ mt: 1 }}>
                <Box
                    component="summary"
                    sx={{ cursor: 'pointer', minHeight: 32, fontWeight: 600, color: 'primary.main' }}
                >
                    {words.allRows}
                </Box>
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">{words.item}</th>
                            <th scope="col">{words.pocket}</th>
                            <th scope="col" className="n">
                                {words.counted}
                            </th>
                            <th scope="col" className="n">
                                {words.recorded}
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {check.rows.map((row, index) => (
                            <tr key={index}>
                                <td>
                                    {row.name}, {reads(row)}
                                    {row.condition !== 'good' && <strong>, {sayCondition(row)}</strong>}
                                    {row.in_doubt && <strong>{words.movedWhileItWasCounted}</strong>}
                                </td>
                                <td>{row.pocket}</td>
                                <td className="n">{row.counted}</td>
                                <td className="n">{row.recorded}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </Box>
        </>
    );
}
