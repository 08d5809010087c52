import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Row, Write } from '../ui/Fields';
import { Group } from '../ui/Group';
import { Sheet, Trouble } from '../ui/Page';
import { SearchPlace } from '../ui/Search';
import { sayScope } from '../ui/words';
import { useForeseen } from '../ui/Foreseen';
import { words } from './words';

type Person = Schemas['KeptFirstAider'];

const scopes = (['first_aider', 'trained', 'clinician', 'anyone'] as const).map(
    (scope) => [scope, sayScope(scope)] as const,
);

/** One first aider: what they are trained to and until when, and where they are posted. */
export function PersonForm({ person, onDone }: { person: Schemas['FirstAiderResource']; onDone: () => void }) {
    const client = useQueryClient();
    const { data: shifts = [] } = useQuery(questions.shifts());
    const [kept, setKept] = useState<Person>(() => ({
        name: person.name,
        ended_on: person.ended_on,
        qualifications:
            person.qualifications.length > 0
                ? person.qualifications.map(({ scope, title, expires_on }) => ({ scope, title, expires_on }))
                : [{ scope: 'first_aider', title: words.firstAidAtWork, expires_on: null }],
        postings: person.postings.map(({ place_id, shift }) => ({ place_id, shift })),
    }));
    const keep = useForeseen({
        write: (headers) => ask(api.PUT('/people/{id}', { params: { path: { id: person.id } }, body: kept, headers })),
        onSuccess: async () => {
            await client.invalidateQueries();
            onDone();
        },
    });
    const problem = isProblem(keep.error) ? keep.error : null;
    const qualify = (at: number, to: Partial<Person['qualifications'][number]>) =>
        setKept({
            ...kept,
            qualifications: kept.qualifications.map((held, index) => (index === at ? { ...held, ...to } : held)),
        });
    const post = (at: number, to: Partial<Person['postings'][number]>) =>
        setKept({
            ...kept,
            postings: kept.postings.map((posting, index) => (index === at ? { ...posting, ...to } : posting)),
        });
    return (
        <Sheet title={person.name || words.newFirstAider}>
            <Box
                component="form"
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    keep.begin();
                }}
            >
                <Row columns="minmax(0, 2fr) minmax(0, 1fr)">
                    <Write
                        label={words.name}
                        value={kept.name}
                        onWrite={(name) => setKept({ ...kept, name })}
                        problem={problem?.at('name')}
                    />
                    <Write
                        label={words.leavingDate}
                        type="date"
                        slotProps={{ inputLabel: { shrink: true } }}
                        value={kept.ended_on ?? ''}
                        onWrite={(day) => setKept({ ...kept, ended_on: day || null })}
                        problem={problem?.at('ended_on')}
                        help={words.leaveEmptyWhileTheyServe}
                    />
                </Row>
                <Group legend={words.trainings}>
                    {kept.qualifications.map((held, at) => (
                        <Row key={at} columns="minmax(0, 2fr) minmax(0, 2fr) minmax(0, 1fr) auto">
                            <Write
                                label={words.training}
                                value={held.title}
                                onWrite={(title) => qualify(at, { title })}
                                problem={problem?.at(`qualifications.${at}.title`)}
                            />
                            <Choose
                                label={words.authorisedToUseItemsFor}
                                value={held.scope}
                                onChoose={(scope) =>
                                    qualify(at, { scope: scopes.find(([one]) => one === scope)?.[0] ?? 'first_aider' })
                                }
                                options={scopes}
                            />
                            <Write
                                label={words.expiresOn}
                                type="date"
                                slotProps={{ inputLabel: { shrink: true } }}
                                value={held.expires_on ?? ''}
                                onWrite={(day) => qualify(at, { expires_on: day || null })}
                                problem={problem?.at(`qualifications.${at}.expires_on`)}
                            />
                            <Button
                                aria-label={words.removeTraining(at + 1)}
                                onClick={() =>
                                    setKept({
                                        ...kept,
                                        qualifications: kept.qualifications.filter((_, index) => index !== at),
                                    })
                                }
                            >
                                {words.remove3}
                            </Button>
                        </Row>
                    ))}
                </Group>
                <Group legend={words.postings}>
                    {kept.postings.map((posting, at) => (
                        <Row key={at} columns="minmax(0, 2fr) minmax(0, 1fr) auto">
                            <SearchPlace
                                label={words.postedTo}
                                value={posting.place_id}
                                onChoose={(place_id) => post(at, { place_id })}
                                error={problem?.at(`postings.${at}.place_id`) !== undefined}
                                helperText={problem?.at(`postings.${at}.place_id`) ?? ' '}
                            />
                            <Choose
                                label={words.shift}
                                value={posting.shift}
                                empty={words.chooseTheShift}
                                onChoose={(shift) => post(at, { shift })}
                                options={shifts.map(({ name }) => [name, name] as const)}
                                error={problem?.at(`postings.${at}.shift`) !== undefined}
                                helperText={problem?.at(`postings.${at}.shift`) ?? ' '}
                            />
                            <Button
                                aria-label={words.removePosting(at + 1)}
                                onClick={() =>
                                    setKept({ ...kept, postings: kept.postings.filter((_, index) => index !== at) })
                                }
                            >
                                {words.remove3}
                            </Button>
                        </Row>
                    ))}
                </Group>
                <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
                    <Button
                        onClick={() =>
                            setKept({
                                ...kept,
                                qualifications: [
                                    ...kept.qualifications,
                                    { scope: 'first_aider', title: '', expires_on: null },
                                ],
                            })
                        }
                    >
                        {words.addATraining}
                    </Button>
                    <Button
                        onClick={() =>
                            setKept({
                                ...kept,
                                postings: [...kept.postings, { place_id: '', shift: shifts[0]?.name ?? '' }],
                            })
                        }
                    >
                        {words.addAPosting}
                    </Button>
                    <Button type="submit" variant="contained" disabled={keep.isPending}>
                        {words.save}
                    </Button>
                    <Button onClick={onDone}>{words.cancel}</Button>
                </Box>
                {problem && problem.status !== 422 && <Trouble error={problem} />}
            </Box>
            {keep.dialog}
        </Sheet>
    );
}
