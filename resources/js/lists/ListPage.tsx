import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Row, Write } from '../ui/Fields';
import { Caution, Empty, Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { count, sayDay, sayList, sayMoney, sayName } from '../ui/words';
import { ListWarning } from './ListWarning';

/** One edition of a list: its lines, what it rests on, who confirmed it, and who keeps it. */
export default function ListPage() {
    const { id = '' } = useParams();
    const { data: list, error } = useQuery(questions.list(id));
    const { may } = useSession();
    const [isNewEdition, setIsNewEdition] = useState(false);
    if (!list) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={`${sayList(list)}, edition ${list.edition}`}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {list.origin === 'house' ? (list.kind === 'module' ? 'Module' : 'House list') : 'Starter list'},{' '}
                    {list.code}
                </Typography>
            }
            beside={
                <>
                    <Button component={Link} to={`/compare?list=${list.id}`}>
                        Compare a kit with it
                    </Button>
                    {list.supersedes && (
                        <Button component={Link} to={`/lists/${list.id}/change`}>
                            Changes since edition {list.supersedes.edition}
                        </Button>
                    )}
                    {may('plan') && list.confirmed && (
                        <Button variant="contained" onClick={() => setIsNewEdition(true)}>
                            Make a new edition
                        </Button>
                    )}
                    {may('plan') && !list.confirmed && (
                        <>
                            <Button component={Link} to={`/lists/${list.id}/edit`}>
                                Change lines
                            </Button>
                            <Button component={Link} to={`/lists/${list.id}/confirm`} variant="contained">
                                Confirm
                            </Button>
                        </>
                    )}
                </>
            }
        >
            {list.confirmed ? (
                <Typography sx={{ mb: 4 }}>
                    ✓ Confirmed{list.confirmed_on && ` on ${sayDay(list.confirmed_on)}`}
                    {list.confirmed_by && ` by ${list.confirmed_by}`}, line by line. It never changes: a change makes a
                    new edition. Based on: {list.basis}.
                </Typography>
            ) : (
                <Box sx={{ mb: 4 }}>
                    <ListWarning list={list} />
                </Box>
            )}
            {isNewEdition && <NewEdition list={list} onClose={() => setIsNewEdition(false)} />}
            <Sheet title="Used by">
                <Typography>
                    {list.designs.length === 0
                        ? 'No design uses this edition.'
                        : `Designs: ${list.designs.join(', ')}. ${list.kits.length > 0 ? `Kits: ${list.kits.join(', ')}.` : 'No kit yet.'}`}
                    {list.excludes.length > 0 && ` Excluded classes: ${list.excludes.join(', ')}.`}
                    {list.serves.length > 0 && ` In a plan it is used as: ${list.serves.map(sayName).join(', ')}.`}
                    {list.copied_from && ` Copied from ${list.copied_from}.`}
                    {list.price !== null &&
                        ` A kit for this list costs ${sayMoney(list.price, list.currency)} by the piece${list.unpriced > 0 ? `, and ${count(list.unpriced, 'item')} without a price` : ''}.`}
                </Typography>
                {list.editions.length > 1 && (
                    <Typography sx={{ mt: 2 }}>
                        Editions:{' '}
                        {list.editions.map((edition, at) => (
                            <span key={edition.id}>
                                {at > 0 && ', '}
                                {edition.id === list.id ? (
                                    <strong>{edition.edition}</strong>
                                ) : (
                                    <Link to={`/lists/${edition.id}`} style={{ color: 'inherit' }}>
                                        {edition.edition}
                                    </Link>
                                )}
                            </span>
                        ))}
                        .
                    </Typography>
                )}
            </Sheet>
            <Sheet title={count(list.lines.length, 'line')}>
                {list.lines.length === 0 ? (
                    <Empty>It has no line yet. Change lines adds the first.</Empty>
                ) : (
                    <Lines list={list} />
                )}
                {list.absent.length > 0 && (
                    <Typography variant="body2" sx={{ mt: 3, color: 'text.secondary' }}>
                        Not in the copy that it was compared with:{' '}
                        {list.absent.map((line) => `${line.note ?? ''} (asked for ${line.asked})`).join('; ')}.
                    </Typography>
                )}
            </Sheet>
        </Page>
    );
}

function Lines({ list }: { list: Schemas['ListResource'] }) {
    return (
        <Table>
            <thead>
                <tr>
                    <th scope="col">Need</th>
                    <th scope="col">Asked for</th>
                    <th scope="col">Accepts, first choice first</th>
                </tr>
            </thead>
            <tbody>
                {list.lines.map((line) => (
                    <tr key={line.code}>
                        <td>
                            {line.need}
                            {line.rank !== 'required' && <strong>, {line.rank}</strong>}
                            {line.reason && <Box sx={{ color: 'text.secondary' }}>{line.reason}</Box>}
                        </td>
                        <td>
                            {line.required}
                            {line.confirmation?.outcome === 'differs' && (
                                <Box sx={{ color: 'text.secondary' }}>
                                    {list.confirmed
                                        ? `the starter list had ${line.confirmation.asked}`
                                        : `your copy: ${line.confirmation.figure ?? ''}`}
                                </Box>
                            )}
                        </td>
                        <td>
                            {line.accepts.map((entry) => entry.text).join('; ')}
                            <Cautions entries={line.accepts} />
                        </td>
                    </tr>
                ))}
            </tbody>
        </Table>
    );
}

/** What can hurt says so wherever it is named. */
function Cautions({ entries }: { entries: Schemas['EntryResource'][] }) {
    return [...new Set(entries.map((entry) => entry.caution))].map((text) => (
        <Box key={text}>
            <Caution text={text} />
        </Box>
    ));
}

function NewEdition({ list, onClose }: { list: Schemas['ListResource']; onClose: () => void }) {
    const navigate = useNavigate();
    const client = useQueryClient();
    const [edition, setEdition] = useState('');
    const make = useMutation({
        mutationFn: () =>
            ask(api.POST('/lists/{list}/editions', { params: { path: { list: list.id } }, body: { edition } })),
        onSuccess: async (made) => {
            await client.invalidateQueries();
            void navigate(`/lists/${made.id}/edit`);
        },
    });
    const problem = isProblem(make.error) ? make.error : null;
    return (
        <Sheet title="New edition">
            <Row columns="minmax(0, 320px) auto auto">
                <Write
                    label="Edition"
                    value={edition}
                    onWrite={setEdition}
                    problem={problem?.at('edition')}
                    help="Such as 2 or 2027. Kits keep their edition until you adopt this one."
                />
                <Button variant="contained" onClick={() => make.mutate()} disabled={make.isPending}>
                    Create edition
                </Button>
                <Button onClick={onClose}>Cancel</Button>
            </Row>
            {problem && problem.status !== 422 && <Trouble error={problem} />}
        </Sheet>
    );
}
