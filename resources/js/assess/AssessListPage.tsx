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
import { words } from './words';

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
            title={words.assess}
            beside={
                <>
                    <Button component={Link} to="/how-many">
                        {words.howManyToCarry}
                    </Button>
                    <Button component={Link} to="/assess/choices">
                        {words.listsOfThePlan}
                    </Button>
                    {may('plan') && (
                        <Button component={Link} to="/assess/people">
                            {words.firstAiders}
                        </Button>
                    )}
                </>
            }
        >
            <Asks />
            <Deference />
            <Sheet title={words.assessments}>
                {assessments.length === 0 && <Empty>{words.thereIsNoneYetStart}</Empty>}
                {assessments.length > 0 && (
                    <Table>
                        <thead>
                            <tr>
                                <th scope="col">{words.assessment}</th>
                                <th scope="col" className="n">
                                    {words.areas}
                                </th>
                                <th scope="col">{words.plan}</th>
                                <th scope="col" className="wide">
                                    {words.reviewDue}
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
                                                ? words.signedByOn(one.signed ?? '', sayDay(one.signed_on))
                                                : words.underWaySinceNotSigned(sayDay(one.started_on))}
                                        </Box>
                                    </td>
                                    <td className="n">{one.areas}</td>
                                    <td>
                                        {one.chosen
                                            ? words.provision(one.chosen === 'least' ? 'Minimum' : 'Full')
                                            : words.notChosen}
                                        {one.open_tasks > 0 && <Box>{count(one.open_tasks, 'task')} open</Box>}
                                    </td>
                                    <td className="wide">
                                        {one.review_on ? words.by(sayDay(one.review_on)) : ''}
                                        {one.asks_again.length > 0 && <strong>{words.dueNow}</strong>}
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
            <Typography variant="h3">{words.startTheNextAssessment}</Typography>
            <Row columns="minmax(0, 2fr) minmax(0, 1fr) auto">
                <Write
                    label={words.title}
                    value={title}
                    onWrite={setTitle}
                    problem={problem?.at('title')}
                    help={isFirst ? words.theSiteAndTheYear : words.itStartsFromTheAnswers}
                />
                {isFirst && (
                    <Choose
                        label={words.calculatedBy}
                        value={scheme}
                        onChoose={(value) => setScheme(value === 'class' ? 'class' : 'headcount')}
                        options={[
                            ['headcount', words.headcountAndHazard],
                            ['class', words.classOfKit],
                        ]}
                    />
                )}
                <Button type="submit" variant="contained" disabled={begin.isPending} sx={{ alignSelf: 'start' }}>
                    {words.start}
                </Button>
            </Row>
            {problem && problem.status !== 422 && <Trouble error={problem} />}
        </Box>
    );
}
