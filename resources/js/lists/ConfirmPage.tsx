import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Row, Write } from '../ui/Fields';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { sayList } from '../ui/words';

type Line = Schemas['ListLineResource'];

const words = { matches: '✓ matches', differs: '≠ differs', absent: '– not in my copy' };

/** Line by line beside one's own copy of the standard: matches, differs, or not in it. */
export default function ConfirmPage() {
    const { id = '' } = useParams();
    const navigate = useNavigate();
    const client = useQueryClient();
    const { data: list, error } = useQuery(questions.list(id));
    const [at, setAt] = useState<string | null>(null);
    const confirm = useMutation({
        mutationFn: () => ask(api.POST('/lists/{list}/confirmation', { params: { path: { list: id } } })),
        onSuccess: async () => {
            await client.invalidateQueries();
            void navigate(`/lists/${id}`);
        },
    });
    if (!list) {
        return <Waiting error={error} />;
    }
    const left = list.lines.filter((line) => line.confirmation === null);
    const line = list.lines.find((one) => one.code === at) ?? left[0];
    const next = (after: Line) => {
        const rest = left.filter((one) => one.code !== after.code);
        setAt((rest.find((one) => list.lines.indexOf(one) > list.lines.indexOf(after)) ?? rest[0])?.code ?? null);
    };
    return (
        <Page
            title={`Confirm ${sayList(list)}, edition ${list.edition}`}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {list.lines.length - left.length} of {list.lines.length} lines compared
                </Typography>
            }
            beside={
                <Button component={Link} to={`/lists/${list.id}`}>
                    The list
                </Button>
            }
        >
            {list.confirmed && <Notice>This edition is confirmed already and never changes.</Notice>}
            {!list.confirmed && (
                <Notice>
                    <strong>Have your own copy of {list.basis} ready.</strong> Say for each line whether it matches.
                    Where sizes or accepted items differ,{' '}
                    <Link to={`/lists/${list.id}/edit`} style={{ color: 'inherit' }}>
                        change the line
                    </Link>{' '}
                    first. When all are compared, you confirm the edition under your name, and it never changes again.
                </Notice>
            )}
            <Box
                sx={{
                    display: 'grid',
                    gap: 4,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1fr)' },
                    alignItems: 'start',
                }}
            >
                <div>
                    {line && !list.confirmed && (
                        <Compare key={line.code} list={list} line={line} onDone={() => next(line)} />
                    )}
                    {!line && !list.confirmed && (
                        <Sheet title="Every line is compared">
                            <Typography sx={{ mb: 3 }}>
                                Confirming uses the figures from your copy, removes lines that are not in it, and fixes
                                the edition under your name. Documents made from it no longer carry the warning.
                            </Typography>
                            <Button variant="contained" onClick={() => confirm.mutate()} disabled={confirm.isPending}>
                                Confirm this edition
                            </Button>
                            {confirm.error && <Trouble error={confirm.error} />}
                        </Sheet>
                    )}
                </div>
                <Sheet title="All lines">
                    <Box component="ol" sx={{ m: 0, pl: 6 }}>
                        {list.lines.map((one) => (
                            <Box component="li" key={one.code} sx={{ py: 1 }}>
                                <Button
                                    variant="text"
                                    size="small"
                                    disabled={list.confirmed}
                                    onClick={() => setAt(one.code)}
                                    aria-current={one.code === line?.code ? 'true' : undefined}
                                    sx={{
                                        textAlign: 'left',
                                        fontWeight: one.code === line?.code ? 700 : 400,
                                        minHeight: 32,
                                        px: 1,
                                    }}
                                >
                                    {one.need}: {one.required}
                                </Button>
                                <Typography variant="caption" component="span">
                                    {' '}
                                    {one.confirmation
                                        ? `${words[one.confirmation.outcome]}${one.confirmation.figure ? `, ${one.confirmation.figure}` : ''}`
                                        : 'not compared'}
                                </Typography>
                            </Box>
                        ))}
                    </Box>
                </Sheet>
            </Box>
        </Page>
    );
}

function Compare({ list, line, onDone }: { list: Schemas['ListResource']; line: Line; onDone: () => void }) {
    const client = useQueryClient();
    const [figure, setFigure] = useState(line.confirmation?.figure ?? '');
    const [note, setNote] = useState(line.confirmation?.outcome === 'absent' ? '' : (line.confirmation?.note ?? ''));
    const compare = useMutation({
        mutationFn: (outcome: 'matches' | 'differs' | 'absent') =>
            ask(
                api.PUT('/lists/{list}/confirmations/{line}', {
                    params: { path: { list: list.id, line: line.code } },
                    body: { outcome, figure: outcome === 'differs' ? figure.trim() : null, note: note.trim() || null },
                }),
            ),
        onSuccess: (now) => {
            client.setQueryData(['list', list.id], now);
            onDone();
        },
    });
    const problem = isProblem(compare.error) ? compare.error : null;
    return (
        <Sheet title={line.need}>
            <Typography sx={{ fontSize: 22, fontWeight: 700 }}>
                Asks for {line.required}
                {line.total_quantity === null && (line.quantity === 1 ? ' piece' : ' pieces')}
            </Typography>
            <Typography sx={{ mb: 3 }}>
                {line.rank}; accepts {line.accepts.map((entry) => entry.text).join('; ')}
            </Typography>
            <Button variant="contained" onClick={() => compare.mutate('matches')} disabled={compare.isPending}>
                Matches my copy
            </Button>
            <Row columns="minmax(0, 1fr) auto">
                <Write
                    label="Figure in my copy"
                    value={figure}
                    onWrite={setFigure}
                    problem={problem?.at('figure')}
                    help={line.total_quantity ? 'How much in all, with its unit.' : 'Pieces.'}
                />
                <Button onClick={() => compare.mutate('differs')} disabled={compare.isPending}>
                    Differs
                </Button>
            </Row>
            <Write
                label="Note"
                value={note}
                onWrite={setNote}
                problem={problem?.at('note')}
                help="Where in your copy it stands, for instance."
            />
            <Button onClick={() => compare.mutate('absent')} disabled={compare.isPending} sx={{ mt: 3 }}>
                Not in my copy
            </Button>
            {problem && !problem.at('figure') && <Trouble error={problem} />}
        </Sheet>
    );
}
