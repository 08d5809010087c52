import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { newId } from '../api/newId';
import { api, ask, isProblem } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose, Row, Write } from '../ui/Fields';
import { Empty, Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { Deference } from '../ui/Notice';
import { Table } from '../ui/Table';
import { count, sayDay } from '../ui/words';
import { Asks } from './Asks';
import { CoverTable } from './CoverTable';

/** Assessments of the site, newest first, and how many first aiders each place has. */
export default function AssessListPage() {
    const { data: assessments, error } = useQuery(questions.assessments());
    const { may } = useSession();
    if (!assessments) {
        return <Waiting error={error} />;
    }
    const isUnderWay = assessments.some((one) => one.signed_on === null);
    return (
        <Page
            title="Assess"
            beside={
                <>
                    <Button component={Link} to="/assess/choices">
                        Lists of the plan
                    </Button>
                    {may('plan') && (
                        <Button component={Link} to="/assess/people">
                            First aiders
                        </Button>
                    )}
                </>
            }
        >
            <Asks />
            <Deference />
            <Sheet title="Assessments">
                {assessments.length === 0 && (
                    <Empty>There is none yet. Start one: it goes through the areas of the site, one by one.</Empty>
                )}
                {assessments.length > 0 && (
                    <Table>
                        <thead>
                            <tr>
                                <th scope="col">Assessment</th>
                                <th scope="col" className="n">
                                    Areas
                                </th>
                                <th scope="col">Plan</th>
                                <th scope="col" className="wide">
                                    Review due
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {assessments.map((one) => (
                                <tr key={one.id}>
                                    <td>
                                        <Box
                                            component={Link}
                                            to={`/assess/${one.id}`}
                                            sx={{ color: 'primary.main', fontWeight: 600 }}
                                        >
                                            {one.title}
                                        </Box>
                                        <Box sx={{ color: 'text.secondary' }}>
                                            {one.signed_on
                                                ? `Signed by ${one.signed ?? ''} on ${sayDay(one.signed_on)}`
                                                : `Under way since ${sayDay(one.started_on)}, not signed`}
                                        </Box>
                                    </td>
                                    <td className="n">{one.areas}</td>
                                    <td>
                                        {one.chosen
                                            ? `${one.chosen === 'least' ? 'Minimum' : 'Full'} provision`
                                            : 'not chosen'}
                                        {one.open_tasks > 0 && <Box>{count(one.open_tasks, 'task')} open</Box>}
                                    </td>
                                    <td className="wide">
                                        {one.review_on ? `by ${sayDay(one.review_on)}` : ''}
                                        {one.asks_again.length > 0 && <strong> (due now)</strong>}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                )}
                {may('plan') && !isUnderWay && <Begin isFirst={assessments.length === 0} />}
            </Sheet>
            <CoverTable />
        </Page>
    );
}

function Begin({ isFirst }: { isFirst: boolean }) {
    const navigate = useNavigate();
    const client = useQueryClient();
    const [title, setTitle] = useState('');
    const [scheme, setScheme] = useState<'headcount' | 'class'>('headcount');
    const begin = useMutation({
        mutationFn: () => ask(api.POST('/assessments', { body: { id: newId(), title, scheme } })),
        onSuccess: async (made) => {
            client.setQueryData(['assessment', made.id], made);
            await client.invalidateQueries({ queryKey: ['assessments'] });
            void navigate(`/assess/${made.id}`);
        },
    });
    const problem = isProblem(begin.error) ? begin.error : null;
    return (
        <Box
            component="form"
            noValidate
            onSubmit={(event) => {
                event.preventDefault();
                begin.mutate();
            }}
            sx={{ mt: 4 }}
        >
            <Typography variant="h3">Start the next assessment</Typography>
            <Row columns="minmax(0, 2fr) minmax(0, 1fr) auto">
                <Write
                    label="Title"
                    value={title}
                    onWrite={setTitle}
                    problem={problem?.at('title')}
                    help={
                        isFirst ? 'The site and the year, for instance.' : 'It starts from the answers of the last one.'
                    }
                />
                {isFirst && (
                    <Choose
                        label="Calculated by"
                        value={scheme}
                        onChoose={(value) => setScheme(value === 'class' ? 'class' : 'headcount')}
                        options={[
                            ['headcount', 'headcount and hazard'],
                            ['class', 'class of kit'],
                        ]}
                    />
                )}
                <Button type="submit" variant="contained" disabled={begin.isPending} sx={{ alignSelf: 'start' }}>
                    Start
                </Button>
            </Row>
            {problem && problem.status !== 422 && <Trouble error={problem} />}
        </Box>
    );
}
