import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { Choose } from '../ui/Fields';
import { Empty, Sheet, Trouble, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { count } from '../ui/words';
import { words } from './words';

const outcomeWords = { new: words.newWord, changed: words.changed, same: words.same, error: words.error };

const ASK_AGAIN_MS = 700;

function isAtWork(data: Schemas['ImportResource'] | undefined): boolean {
    return data?.state === 'reading' || data?.state === 'taking';
}

/** A file on its way in: how far it is read, what would change row by row, and the one button that takes it. */
export function ImportPreview({ id, onClose }: { id: string; onClose: () => void }) {
    const client = useQueryClient();
    const key = ['import', id];
    const take = useMutation({
        mutationFn: () => ask(api.PUT('/imports/{import}/taking', { params: { path: { import: id } } })),
        onSuccess: (now) => client.setQueryData(key, now),
    });
    const { data, error } = useQuery({
        queryKey: key,
        queryFn: () => ask(api.GET('/imports/{import}', { params: { path: { import: id } } })),
        refetchInterval: (query) => (isAtWork(query.state.data) ? ASK_AGAIN_MS : false),
        staleTime: 0,
    });
    const isDone = data?.state === 'done';
    useEffect(() => {
        if (isDone) {
            void client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'import' });
        }
    }, [isDone, client]);
    if (!data) {
        return <Waiting error={error} />;
    }
    return (
        <>
            <Sheet
                title={words.of(data.file_name, count(data.rows, 'record'), data.kind)}
                beside={<Button onClick={onClose}>{words.anotherFile}</Button>}
            >
                <Progress data={data} />
                {data.problem && (
                    <Typography role="alert" sx={{ my: 3 }}>
                        <strong>▲ {data.problem}</strong>
                    </Typography>
                )}
                {data.state === 'refused' && data.errors > 0 && (
                    <Typography role="alert" sx={{ my: 3 }}>
                        <strong>
                            ▲ {count(data.errors, 'record')}
                            {words.withErrorsNothingWasImported}
                        </strong>
                        {words.correctTheseRowsInThe}
                    </Typography>
                )}
                {data.state === 'ready' && (
                    <Box sx={{ my: 3 }}>
                        {data.new + data.changed === 0 ? (
                            <Typography>{words.theFileMatchesWhatIs}</Typography>
                        ) : (
                            <Button variant="contained" onClick={() => take.mutate()} disabled={take.isPending}>
                                {words.importAll}
                                {data.new} new, {data.changed} changed)
                            </Button>
                        )}
                    </Box>
                )}
                {data.state === 'done' && (
                    <Typography role="status" sx={{ my: 3 }}>
                        <strong>{words.imported}</strong> {data.new} new, {data.changed} changed, {data.same}
                        {words.asTheyWere}
                    </Typography>
                )}
                {take.error && <Trouble error={take.error} />}
            </Sheet>
            {!isAtWork(data) && <Rows data={data} />}
        </>
    );
}

function Progress({ data }: { data: Schemas['ImportResource'] }) {
    const isTaking = data.state === 'taking';
    const done = isTaking ? data.taken : data.read;
    const what = isTaking ? 'imported' : 'read';
    return (
        <Box sx={{ maxWidth: 560 }}>
            {isAtWork(data) && (
                <LinearProgress
                    variant="determinate"
                    value={data.rows === 0 ? 100 : (done / data.rows) * 100}
                    aria-label={words.of2(what, done, data.rows)}
                    sx={{ height: 8, borderRadius: '4px' }}
                />
            )}
            <Typography role="status" sx={{ mt: 1 }}>
                {done} of {data.rows} {what}: {data.new} new, {data.changed} changed, {data.same} same, {data.errors}{' '}
                {words.withErrors}
                {isAtWork(data) && words.youMayLeave}
            </Typography>
        </Box>
    );
}

const outcomes = [
    ['error', 'errors'],
    ['changed', 'changed'],
    ['new', 'new'],
    ['same', words.asTheyAre],
] as const;

type Outcome = (typeof outcomes)[number][0];

const AT_ONCE = 200;

/** The rows of the preview, errors first; or those of one outcome, page by page. */
function Rows({ data }: { data: Schemas['ImportResource'] }) {
    const [outcome, setOutcome] = useState<Outcome | ''>('');
    const [after, setAfter] = useState(0);
    const chosen = useQuery({
        queryKey: ['import', data.id, outcome, after],
        queryFn: () =>
            ask(
                api.GET('/imports/{import}', {
                    params: { path: { import: data.id }, query: { outcome: outcome || undefined, after } },
                }),
            ),
        enabled: outcome !== '',
        placeholderData: keepPreviousData,
    });
    const rows = outcome === '' ? data.shown : (chosen.data?.shown ?? []);
    const last = rows[rows.length - 1]?.number ?? 0;
    return (
        <Sheet
            title={words.whatWouldChange}
            beside={
                <span>
                    {rows.length} of {data.rows} shown{outcome === '' && words.errorsFirst}
                </span>
            }
        >
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'center', my: 3 }}>
                <Choose
                    label={words.show}
                    value={outcome}
                    empty={words.allErrorsFirst}
                    onChoose={(value) => {
                        setOutcome(outcomes.find(([one]) => one === value)?.[0] ?? '');
                        setAfter(0);
                    }}
                    options={outcomes}
                    sx={{ width: 240 }}
                />
                {outcome !== '' && after > 0 && <Button onClick={() => setAfter(0)}>{words.fromTheFirst}</Button>}
                {outcome !== '' && rows.length === AT_ONCE && (
                    <Button onClick={() => setAfter(last)}>
                        {words.theNext}
                        {AT_ONCE}
                    </Button>
                )}
            </Box>
            {rows.length === 0 && <Empty>{words.thereIsNoSuchRecord}</Empty>}
            <Table>
                <thead>
                    <tr>
                        <th scope="col" className="n">
                            {words.row}
                        </th>
                        <th scope="col">{words.code}</th>
                        <th scope="col">{words.what}</th>
                    </tr>
                </thead>
                <tbody>
                    {rows.map((row) => (
                        <tr key={row.number}>
                            <td className="n">{row.number}</td>
                            <td style={{ overflowWrap: 'anywhere' }}>{row.code}</td>
                            <td style={{ overflowWrap: 'anywhere' }}>
                                <strong>{outcomeWords[row.outcome]}</strong>
                                {row.texts.map((text) => (
                                    <div key={text}>{text}</div>
                                ))}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </Table>
        </Sheet>
    );
}
