import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { newId } from '../api/newId';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Notice } from '../ui/Notice';
import { Empty, Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { sayDay, sayScope } from '../ui/words';
import { CoverNeeds } from './CoverNeeds';
import { CoverTable } from './CoverTable';
import { PersonForm } from './PersonForm';
import { ShiftsSheet } from './ShiftsSheet';
import { useForeseen } from '../ui/Foreseen';
import { words } from './words';

const nobody = (): Schemas['FirstAiderResource'] => ({
    id: newId(),
    name: '',
    ended_on: null,
    goes_on: null,
    qualifications: [],
    postings: [],
});

/** First aiders with their qualifications and postings, for who plans alone; and how many each place asks for. */
export default function PeoplePage() {
    const client = useQueryClient();
    const { data: people, error } = useQuery(questions.people());
    const [edited, setEdited] = useState<Schemas['FirstAiderResource'] | null>(null);
    const [going, setGoing] = useState('');
    const remove = useForeseen({
        write: (headers, person: string) =>
            ask(api.DELETE('/people/{person}', { params: { path: { person } }, headers })),
        onSuccess: () => client.invalidateQueries(),
    });
    if (!people) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={words.firstAiders}
            beside={
                <Button variant="contained" onClick={() => setEdited(nobody())}>
                    {words.addAFirstAider}
                </Button>
            }
        >
            <Notice>
                <strong>{words.private}</strong>
                {words.onlyLeadsCanSeeNames}
                {people.kept_days}
                {words.daysAfterAFirstAider}
            </Notice>
            {edited && <PersonForm key={edited.id} person={edited} onDone={() => setEdited(null)} />}
            <Sheet title={words.people(people.people.length)}>
                {people.people.length === 0 && <Empty>{words.addFirstAidersTheirTraining}</Empty>}
                {remove.error && <Trouble error={remove.error} />}
                {people.people.length > 0 && (
                    <Table>
                        <thead>
                            <tr>
                                <th scope="col">{words.name}</th>
                                <th scope="col">{words.trained}</th>
                                <th scope="col" className="wide">
                                    {words.postedTo}
                                </th>
                                <th scope="col">
                                    <Box component="span" sx={{ position: 'absolute', left: -9999 }}>
                                        {words.change}
                                    </Box>
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {people.people.map((person) => (
                                <tr key={person.id}>
                                    <td>
                                        <strong>{person.name}</strong>
                                        {person.ended_on && <Box>ended {sayDay(person.ended_on)}</Box>}
                                        {person.goes_on && (
                                            <Typography
                                                variant="caption"
                                                component="div"
                                                sx={{ color: 'text.secondary' }}
                                            >
                                                {words.recordDeleted}
                                                {sayDay(person.goes_on)}
                                            </Typography>
                                        )}
                                    </td>
                                    <td>
                                        {person.qualifications.map((held) => (
                                            <Box key={held.title}>
                                                {held.title}, {sayScope(held.scope)}:{' '}
                                                {held.expires_on === null
                                                    ? words.doesNotExpire
                                                    : held.valid
                                                      ? words.expires(sayDay(held.expires_on))
                                                      : words.expired(sayDay(held.expires_on))}
                                            </Box>
                                        ))}
                                    </td>
                                    <td className="wide">
                                        {person.postings.map((post) => (
                                            <Box key={`${post.place_id} ${post.shift}`}>
                                                {post.place}, {post.shift}
                                            </Box>
                                        ))}
                                    </td>
                                    <td>
                                        <Box sx={{ display: 'flex', flexWrap: 'wrap', justifyContent: 'end' }}>
                                            <Button
                                                size="small"
                                                onClick={() => setEdited(person)}
                                                aria-label={words.change2(person.name)}
                                            >
                                                {words.change}
                                            </Button>
                                            <Button
                                                size="small"
                                                variant="text"
                                                color={going === person.id ? 'error' : 'primary'}
                                                onClick={() =>
                                                    going === person.id ? remove.begin(person.id) : setGoing(person.id)
                                                }
                                                aria-label={`${going === person.id ? words.deletePermanently : words.deleteWord} ${person.name}`}
                                            >
                                                {going === person.id ? words.deletePermanently : words.deleteWord}
                                            </Button>
                                        </Box>
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                )}
            </Sheet>
            <CoverTable />
            <CoverNeeds />
            <ShiftsSheet />
            {remove.dialog}
        </Page>
    );
}
