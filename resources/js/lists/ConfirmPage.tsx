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
import { TwoColumns } from '../ui/TwoColumns';
import { useForeseen } from '../ui/Foreseen';
import { words } from './words';

type Line = Schemas['ListLineResource'];

const outcomeWords = { matches: words.matches, differs: words.differs, absent: words.notInMyCopy };

/** Line by line beside one's own copy of the standard: matches, differs, or not in it. */
export default function ConfirmPage() {
    const { id = '' } = useParams();
    const navigate = useNavigate();
    const client = useQueryClient();
    const { data: list, error } = useQuery(questions.list(id));
    const [because, setBecause] = useState('');
    const [at, setAt] = useState<string | null>(null);
    const confirm = useForeseen({
        write: (headers) =>
            ask(
                api.POST('/lists/{list}/confirmation', {
                    params: { path: { list: id } },
                    body: { no_critical_because: because.trim() || null },
                    headers,
                }),
            ),
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
    const isWithoutCritical = !list.lines.some(
        (one) => one.rank === 'critical' && one.confirmation?.outcome !== 'absent',
    );
    const problem = isProblem(confirm.error) ? confirm.error : null;
    const next = (after: Line) => {
        const rest = left.filter((one) => one.code !== after.code);
        setAt((rest.find((one) => list.lines.indexOf(one) > list.lines.indexOf(after)) ?? rest[0])?.code ?? null);
    };
    return (
        <Page
            title={words.confirmEdition(sayList(list), list.edition)}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {list.lines.length - left.length} of {list.lines.length}
                    {words.linesCompared}
                </Typography>
            }
            beside={
                <Button component={Link} to={`/lists/${list.id}`}>
                    {words.theList}
                </Button>
            }
        >
            {list.confirmed && <Notice>{words.thisEditionIsConfirmedAlready}</Notice>}
            {!list.confirmed && (
                <Notice>
                    <strong>
                        {words.haveYourOwnCopyOf}
                        {list.basis} ready.
                    </strong>
                    {words.sayForEachLineWhether}{' '}
                    <Link to={`/lists/${list.id}/edit`} style={{ color: 'inherit' }}>
                        {words.changeTheLine}
                    </Link>{' '}
                    {words.firstWhenAllAreCompared}
                </Notice>
            )}
            <TwoColumns>
                <div>
                    {line && !list.confirmed && (
                        <Compare key={line.code} list={list} line={line} onDone={() => next(line)} />
                    )}
                    {!line && !list.confirmed && (
                        <Sheet title={words.everyLineIsCompared}>
                            <Typography sx={{ mb: 3 }}>{words.confirmingUsesTheFiguresFrom}</Typography>
                            {isWithoutCritical && (
                                <Write
                                    label={words.whyNoCriticalLine}
                                    value={because}
                                    onWrite={setBecause}
                                    problem={problem?.at('no_critical_because')}
                                    help={words.noCriticalLine}
                                />
                            )}
                            <Button
                                variant="contained"
                                onClick={() => confirm.begin()}
                                disabled={confirm.isPending || (isWithoutCritical && because.trim() === '')}
                            >
                                {words.confirmThisEdition}
                            </Button>
                            {confirm.error && !problem?.at('no_critical_because') && <Trouble error={confirm.error} />}
                        </Sheet>
                    )}
                </div>
                <Sheet title={words.allLines}>
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
                                        ? `${outcomeWords[one.confirmation.outcome]}${one.confirmation.figure ? `, ${one.confirmation.figure}` : ''}`
                                        : words.notCompared}
                                </Typography>
                            </Box>
                        ))}
                    </Box>
                </Sheet>
            </TwoColumns>
            {confirm.dialog}
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
                {words.asksFor}
                {line.required}
                {line.total_quantity === null && (line.quantity === 1 ? ' piece' : ' pieces')}
            </Typography>
            <Typography sx={{ mb: 3 }}>
                {line.rank}; accepts {line.accepts.map((entry) => entry.text).join('; ')}
            </Typography>
            <Button variant="contained" onClick={() => compare.mutate('matches')} disabled={compare.isPending}>
                {words.matchesMyCopy}
            </Button>
            <Row columns="minmax(0, 1fr) auto">
                <Write
                    label={words.figureInMyCopy}
                    value={figure}
                    onWrite={setFigure}
                    problem={problem?.at('figure')}
                    help={line.total_quantity ? words.howMuchInAllWith : words.pieces2}
                />
                <Button onClick={() => compare.mutate('differs')} disabled={compare.isPending}>
                    {words.differs2}
                </Button>
            </Row>
            <Write
                label={words.note}
                value={note}
                onWrite={setNote}
                problem={problem?.at('note')}
                help={words.whereInYourCopyIt}
            />
            <Button onClick={() => compare.mutate('absent')} disabled={compare.isPending} sx={{ mt: 3 }}>
                {words.notInMyCopy2}
            </Button>
            {problem && !problem.at('figure') && <Trouble error={problem} />}
        </Sheet>
    );
}
