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
import { sayExclusions } from './exclusions';
import { ListWarning } from './ListWarning';
import { words } from './words';

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
            title={words.edition3(sayList(list), list.edition)}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {list.origin === 'house'
                        ? list.kind === 'module'
                            ? words.module
                            : words.houseList
                        : words.starterList}
                    , {list.code}
                </Typography>
            }
            beside={
                <>
                    <Button component={Link} to={`/compare?list=${list.id}`}>
                        {words.compareAKitWithIt}
                    </Button>
                    {list.supersedes && (
                        <Button component={Link} to={`/lists/${list.id}/change`}>
                            {words.changesSinceEdition}
                            {list.supersedes.edition}
                        </Button>
                    )}
                    {may('plan') && list.confirmed && (
                        <Button variant="contained" onClick={() => setIsNewEdition(true)}>
                            {words.makeANewEdition}
                        </Button>
                    )}
                    {may('plan') && !list.confirmed && (
                        <>
                            <Button component={Link} to={`/lists/${list.id}/edit`}>
                                {words.changeLines}
                            </Button>
                            <Button component={Link} to={`/lists/${list.id}/confirm`} variant="contained">
                                {words.confirm}
                            </Button>
                        </>
                    )}
                </>
            }
        >
            {list.confirmed ? (
                <Typography sx={{ mb: 4 }}>
                    {words.confirmed}
                    {list.confirmed_on && words.on(sayDay(list.confirmed_on))}
                    {list.confirmed_by && words.by(list.confirmed_by)}
                    {words.lineByLineItNever}
                    {list.basis}.{list.no_critical_because && words.noLineIsCritical(list.no_critical_because)}
                </Typography>
            ) : (
                <Box sx={{ mb: 4 }}>
                    <ListWarning list={list} />
                </Box>
            )}
            {isNewEdition && <NewEdition list={list} onClose={() => setIsNewEdition(false)} />}
            <Sheet title={words.usedBy}>
                <Typography>
                    {list.designs.length === 0
                        ? words.noDesignUsesThisEdition
                        : words.designs(
                              list.designs.join(', '),
                              list.kits.length > 0 ? `Kits: ${list.kits.join(', ')}.` : 'No kit yet.',
                          )}
                    {sayExclusions(list.excludes) !== '' && ` ${sayExclusions(list.excludes)}`}
                    {list.excludes.length > 0 && words.excludedClasses2(list.excludes.join(', '))}
                    {list.serves.length > 0 && words.inAPlanItIs(list.serves.map(sayName).join(', '))}
                    {list.copied_from && words.copiedFrom(list.copied_from)}
                    {list.price !== null &&
                        words.aKitForThisList(
                            sayMoney(list.price, list.currency),
                            list.unpriced > 0 ? `, and ${count(list.unpriced, 'item')} without a price` : '',
                        )}
                </Typography>
                {list.editions.length > 1 && (
                    <Typography sx={{ mt: 2 }}>
                        {words.editions}{' '}
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
                {list.lines.length === 0 ? <Empty>{words.itHasNoLineYet}</Empty> : <Lines list={list} />}
                {list.absent.length > 0 && (
                    <Typography variant="body2" sx={{ mt: 3, color: 'text.secondary' }}>
                        {words.notInTheCopyThat}{' '}
                        {list.absent.map((line) => words.askedFor(line.note ?? '', line.asked)).join('; ')}.
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
                    <th scope="col">{words.need2}</th>
                    <th scope="col">{words.askedFor2}</th>
                    <th scope="col">{words.acceptsFirstChoiceFirst}</th>
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
                                        ? words.theStarterListHad(line.confirmation.asked)
                                        : words.yourCopy(line.confirmation.figure ?? '')}
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
        <Sheet title={words.newEdition}>
            <Row columns="minmax(0, 320px) auto auto">
                <Write
                    label={words.edition4}
                    value={edition}
                    onWrite={setEdition}
                    problem={problem?.at('edition')}
                    help={words.suchAs2Or2027}
                />
                <Button variant="contained" onClick={() => make.mutate()} disabled={make.isPending}>
                    {words.createEdition}
                </Button>
                <Button onClick={onClose}>{words.cancel}</Button>
            </Row>
            {problem && problem.status !== 422 && <Trouble error={problem} />}
        </Sheet>
    );
}
