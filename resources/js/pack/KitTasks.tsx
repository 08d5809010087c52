import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose, Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Sheet } from '../ui/Page';
import { sayDay } from '../ui/words';
import { words } from './words';

type Kit = Schemas['KitResource'];

/** Who answers for a kit, and the open tasks on it. */
export function WhoAnswers({ kit }: { kit: Kit }) {
    const { may } = useSession();
    const { data } = useQuery(questions.kitTasks('all', kit.code));
    const name = (who: Schemas['AccountRef'] | null | undefined, none: string) =>
        !who ? none : who.is_active ? who.name : words.accountEnded(who.name);
    return (
        <Sheet
            title={words.whoAnswersForIt}
            beside={
                !kit.retired_on && (
                    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
                        {data?.may_give && <GiveTask kit={kit} responsible={data.responsible?.id ?? ''} />}
                        {data && may('equip') && <Responsible kit={kit} duties={data} />}
                    </Box>
                )
            }
        >
            {/* Before it is read, nobody is said to be nobody. */}
            {data && (
                <Typography>
                    {words.responsible}: <strong>{name(data.responsible, words.nobodyYet)}</strong>
                    {', '}
                    {words.deputy}: <strong>{name(data.deputy, words.nobodyYet)}</strong>
                </Typography>
            )}
            <TaskList tasks={data?.tasks ?? []} />
        </Sheet>
    );
}

/** Open tasks, each with whose it is and by when. */
export function TaskList({ tasks, withKit }: { tasks: Schemas['GivenTask'][]; withKit?: boolean }) {
    return (
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
            {tasks.map((task) => (
                <Box
                    component="li"
                    key={task.id}
                    sx={{
                        display: 'grid',
                        gridTemplateColumns: 'minmax(0, 1fr) auto',
                        gap: '0 16px',
                        alignItems: 'center',
                        py: 2,
                        borderTop: 1,
                        borderColor: 'divider',
                        mt: 2,
                    }}
                >
                    <div>
                        <Typography sx={{ fontWeight: 600, overflowWrap: 'anywhere' }}>{task.text}</Typography>
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                            {withKit && (
                                <>
                                    <Link to={`/kits/${task.kit}`} style={{ color: 'inherit' }}>
                                        {task.kit} {task.kit_name}
                                    </Link>
                                    {' · '}
                                </>
                            )}
                            {words.taskOf(task.user, sayDay(task.due_on))}
                            {task.is_overdue && <strong>{words.dayHasPassed}</strong>}
                            {task.given_by_id !== task.user_id && words.givenBy(task.given_by)}
                        </Typography>
                    </div>
                    <Close task={task} />
                </Box>
            ))}
        </Box>
    );
}

function Close({ task }: { task: Schemas['GivenTask'] }) {
    const { may, user } = useSession();
    const client = useQueryClient();
    const [state, setState] = useState('done');
    const [outcome, setOutcome] = useState('');
    const isOwn = user?.id === task.user_id || user?.id === task.given_by_id;
    if (!may('plan') && !(may('check') && isOwn)) {
        return null;
    }
    return (
        <FormDialog
            word={words.close}
            wordFor={words.closeTask(task.text)}
            title={task.text}
            done={words.save}
            isReady={state === 'done' || outcome.trim() !== ''}
            onOpen={() => {
                setState('done');
                setOutcome('');
            }}
            save={async () => {
                await ask(
                    api.PUT('/kit-tasks/{kitTask}', {
                        params: { path: { kitTask: task.id } },
                        body: { state: state === 'done' ? 'done' : 'withdrawn', outcome: outcome.trim() || null },
                    }),
                );
                await client.invalidateQueries();
            }}
        >
            {(problem) => (
                <>
                    <Choose
                        label={words.taskIs}
                        value={state}
                        onChoose={setState}
                        options={[
                            ['done', words.taskDone],
                            ['withdrawn', words.taskWithdrawn],
                        ]}
                    />
                    <Write
                        label={state === 'done' ? words.whatWasDone : words.whyWithdrawn}
                        value={outcome}
                        onWrite={setOutcome}
                        problem={problem?.at('outcome')}
                        slotProps={{ htmlInput: { maxLength: 300 } }}
                    />
                </>
            )}
        </FormDialog>
    );
}

function GiveTask({ kit, responsible }: { kit: Kit; responsible: string }) {
    const client = useQueryClient();
    const { data: accounts } = useQuery(questions.accountChoices());
    const [id, setId] = useState(newId);
    const [task, setTask] = useState({ kind: 'check', text: '', user_id: '', due_on: '' });
    return (
        <FormDialog
            word={words.giveTask}
            title={words.giveTaskOn(kit.code)}
            done={words.giveTask}
            onOpen={() => {
                setId(newId());
                setTask({ kind: 'check', text: '', user_id: responsible, due_on: '' });
            }}
            save={async () => {
                const given = await ask(
                    api.PUT('/kits/{kit}/tasks/{id}', {
                        params: { path: { kit: kit.code, id } },
                        body: { ...task, kind: task.kind as 'check', text: task.text.trim() || null },
                    }),
                );
                client.setQueryData(questions.kitTasks('all', kit.code).queryKey, given);
                await client.invalidateQueries({ queryKey: ['kit-tasks'] });
            }}
        >
            {(problem) => (
                <>
                    <Choose
                        label={words.whatIsToBeDone}
                        value={task.kind}
                        onChoose={(kind) => setTask({ ...task, kind })}
                        options={[
                            ['check', words.checkTheKit],
                            ['restock', words.restockTheKit],
                            ['other', words.somethingElse],
                        ]}
                    />
                    <Write
                        label={task.kind === 'other' ? words.taskText : words.taskTextIfAny}
                        value={task.text}
                        onWrite={(text) => setTask({ ...task, text })}
                        problem={problem?.at('text')}
                        slotProps={{ htmlInput: { maxLength: 300 } }}
                    />
                    <Choose
                        label={words.who}
                        value={task.user_id}
                        empty={words.choosePerson}
                        onChoose={(user_id) => setTask({ ...task, user_id })}
                        options={(accounts ?? []).map((one) => [one.id, one.name] as const)}
                        error={problem?.at('user_id') !== undefined}
                        helperText={problem?.at('user_id')}
                    />
                    <Write
                        label={words.byWhichDay}
                        type="date"
                        slotProps={{ inputLabel: { shrink: true } }}
                        value={task.due_on}
                        onWrite={(due_on) => setTask({ ...task, due_on })}
                        problem={problem?.at('due_on')}
                    />
                </>
            )}
        </FormDialog>
    );
}

function Responsible({ kit, duties }: { kit: Kit; duties: Schemas['GivenTasks'] }) {
    const client = useQueryClient();
    const { data: accounts } = useQuery(questions.accountChoices());
    const [who, setWho] = useState({ responsible_id: '', deputy_id: '' });
    const options = (accounts ?? []).map((one) => [one.id, one.name] as const);
    return (
        <FormDialog
            word={words.changeWhoAnswers}
            title={words.whoAnswersFor(kit.code)}
            done={words.save}
            onOpen={() => setWho({ responsible_id: duties.responsible?.id ?? '', deputy_id: duties.deputy?.id ?? '' })}
            save={async () => {
                const renewed = await ask(
                    api.PUT('/kits/{kit}/responsible', {
                        params: { path: { kit: kit.code } },
                        body: { responsible_id: who.responsible_id || null, deputy_id: who.deputy_id || null },
                    }),
                );
                client.setQueryData(questions.kitTasks('all', kit.code).queryKey, renewed);
            }}
        >
            {(problem) => (
                <>
                    <Choose
                        label={words.responsiblePerson}
                        value={who.responsible_id}
                        empty={words.nobody}
                        onChoose={(responsible_id) => setWho({ ...who, responsible_id })}
                        options={options}
                        error={problem?.at('responsible_id') !== undefined}
                        helperText={problem?.at('responsible_id')}
                    />
                    <Choose
                        label={words.deputyWhileAway}
                        value={who.deputy_id}
                        empty={words.nobody}
                        onChoose={(deputy_id) => setWho({ ...who, deputy_id })}
                        options={options}
                        error={problem?.at('deputy_id') !== undefined}
                        helperText={problem?.at('deputy_id')}
                    />
                </>
            )}
        </FormDialog>
    );
}
