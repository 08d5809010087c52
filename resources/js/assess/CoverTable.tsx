import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { questions } from '../api/queries';
import type { Schemas } from '../api/client';
import { Empty, Sheet } from '../ui/Page';
import { Table } from '../ui/Table';
import { sayScope } from '../ui/words';
import { words } from './words';

/** How many first aiders each place asks for and has, by shift. No name is said here. */
export function CoverTable() {
    const { data: cover } = useQuery(questions.cover());
    return (
        <Sheet title={words.firstAidersByPlaceAnd}>
            {cover?.length === 0 && <Empty>{words.noPlaceNeedsAFirst}</Empty>}
            {cover && cover.length > 0 && <ShiftRows rows={cover} />}
        </Sheet>
    );
}

export function ShiftRows({ rows }: { rows: Schemas['ShiftCover'][] }) {
    return (
        <Table>
            <thead>
                <tr>
                    <th scope="col">{words.place}</th>
                    <th scope="col">{words.shift}</th>
                    <th scope="col">{words.trained}</th>
                    <th scope="col" className="n">
                        {words.posted}
                    </th>
                </tr>
            </thead>
            <tbody>
                {rows.map((row) => (
                    <tr key={`${row.place.id} ${row.shift} ${row.scope}`}>
                        <td>{row.place.path}</td>
                        <td>{row.shift}</td>
                        <td>{sayScope(row.scope)}</td>
                        <td className="n">
                            {row.there} of {row.needed}
                            {row.there < row.needed && (
                                <Box component="strong" sx={{ display: 'block', whiteSpace: 'normal' }}>
                                    ▲ {row.needed - row.there}
                                    {words.tooFew}
                                </Box>
                            )}
                        </td>
                    </tr>
                ))}
            </tbody>
        </Table>
    );
}
