import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Choose } from '../ui/Fields';
import { Sheet } from '../ui/Page';
import { count } from '../ui/words';
import { Awaiting } from './Awaiting';
import { words } from './words';

const wheres = ['into_kit', 'to_store', 'lost'] as const;
type Where = (typeof wheres)[number];

/** Lists entries that arrived late and could not be recorded as they were sent. Each stays until somebody settles it. */
export function Unsettled({ kit }: { kit?: string }) {
    const { data: rows } = useQuery(questions.unsettled(kit));
    if (!rows || rows.length === 0) {
        return null;
    }
    return (
        <Sheet title={words.needsYouToSettle(count(rows.length, 'entry', 'entries'))}>
            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                {words.theseArrivedAfterOthersHad}
            </Typography>
            <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
                {rows.map((row) => (
                    <Entry key={row.id} row={row} withKit={kit === undefined} />
                ))}
            </Box>
        </Sheet>
    );
}

function Entry({ row, withKit }: { row: Schemas['UnsettledResource']; withKit: boolean }) {
    const client = useQueryClient();
    const [where, setWhere] = useState<Where | null>(null);
    const hasPieces = row.pieces !== null;
    const settle = useMutation({
        mutationFn: (text: string) =>
            ask(
                api.PUT('/unsettled/{unsettled}', {
                    params: { path: { unsettled: row.id } },
                    body: hasPieces ? { note: text, where } : { note: text },
                }),
            ),
        onSuccess: () => client.invalidateQueries(),
    });
    return (
        <Awaiting
            title={`${row.text}.`}
            about={
                <>
                    {withKit && (
                        <>
                            <Link to={`/kits/${row.kit}`} style={{ color: 'inherit' }}>
                                {row.kit} {row.kit_name}
                            </Link>
                            {' · '}
                        </>
                    )}
                    {row.title}
                    {row.number !== null && words.operation(row.number)}
                </>
            }
            word={words.settle}
            label={words.whatYouFoundAndDid}
            field="note"
            most={300}
            done={words.save}
            save={settle}
            isFilled={!hasPieces || where !== null}
        >
            {hasPieces && (
                <Choose
                    label={words.whereArePieces}
                    value={where ?? ''}
                    empty={words.chooseWhere}
                    onChoose={(chosen) => setWhere(wheres.find((one) => one === chosen) ?? null)}
                    options={wheres
                        .filter((one) => one !== 'into_kit' || row.because !== 'kit_retired')
                        .map((one) => [one, words.piecesWhere[one]] as const)}
                />
            )}
        </Awaiting>
    );
}
