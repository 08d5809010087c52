import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Write } from '../ui/Fields';
import { Deference } from '../ui/Notice';
import { Empty, Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { count, sayDay } from '../ui/words';
import { GivePlanTask } from './GivePlanTask';
import { words } from './words';

const kinds = [
    { kind: 'make', title: words.kitsToMake },
    { kind: 'move', title: words.kitsToMove },
    { kind: 'upgrade', title: words.kitsToUpgradeWithA },
    { kind: 'retire', title: words.kitsToRetire },
] as const;

/** The difference between the signed plan and the kits that exist, as work. */
export default function WorkPage() {
    const { id = '' } = useParams();
    const client = useQueryClient();
    const { data: site, error, isFetching, isFetchedAfterMount } = useQuery(questions.assessment(id));
    const { may } = useSession();
    const carry = useMutation({
        mutationFn: () => ask(api.POST('/assessments/{assessment}/tasks', { params: { path: { assessment: id } } })),
        onSuccess: (now) => {
            client.setQueryData(['assessment', id], now);
            void client.invalidateQueries({ queryKey: ['designs'] });
        },
    });
    // A task that was done meanwhile is not offered again: what is old is not shown while it is read anew.
    if (!site || (isFetching && !isFetchedAfterMount)) {
        return <Waiting error={error} />;
    }
    const open = site.tasks.filter((task) => task.state === 'open');
    const toFill = site.tasks.filter((task) => task.lines_to_fill > 0);
    const closed = site.tasks.filter((task) => task.state !== 'open' && task.lines_to_fill === 0);
    return (
        <Page
            title={words.carryOut(site.title)}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {site.chosen === 'full' ? words.full : words.minimum} provision,{' '}
                    {count(open.length + toFill.length, 'task')} open, {closed.length} closed
                </Typography>
            }
            beside={
                <>
                    <Button component={Link} to={`/assess/${site.id}`}>
                        {words.theAssessment}
                    </Button>
                    {may('plan') && (
                        <Button
                            variant={site.tasks.length === 0 ? 'contained' : 'outlined'}
                            onClick={() => carry.mutate()}
                            disabled={carry.isPending}
                        >
                            {site.tasks.length === 0 ? words.compareWithExistingKits : words.compareAgain}
                        </Button>
                    )}
                </>
            }
        >
            {carry.error && <Trouble error={carry.error} />}
            {site.tasks.length === 0 && !carry.isSuccess && (
                <Sheet title={words.notComparedYet}>
                    <Empty>{words.compareThePlanWithExisting}</Empty>
                </Sheet>
            )}
            {open.length + toFill.length === 0 && (site.tasks.length > 0 || carry.isSuccess) && (
                <Sheet title={words.allTasksAreClosed}>
                    <Empty>{words.theExistingKitsMatchThe}</Empty>
                </Sheet>
            )}
            {kinds.map(({ kind, title }) => {
                const tasks = open.filter((task) => task.kind === kind);
                return (
                    tasks.length > 0 && (
                        <Sheet key={kind} title={title} beside={<span>{count(tasks.length, 'task')}</span>}>
                            {tasks.map((task) => (
                                <OpenTask key={task.id} task={task} mayDo={may('check')} mayMake={may('plan')} />
                            ))}
                        </Sheet>
                    )
                );
            })}
            {toFill.length > 0 && (
                <Sheet title={words.modulesToFill} beside={<span>{count(toFill.length, 'task')}</span>}>
                    {toFill.map((task) => (
                        <ToFill key={task.id} task={task} mayDo={may('restock')} />
                    ))}
                </Sheet>
            )}
            {closed.length > 0 && (
                <Sheet title={words.closed}>
                    {closed.map((task) => (
                        <Box key={task.id} sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
                            <strong>{task.state === 'done' ? words.done : words.declined}:</strong> {task.text}
                            {task.made_kit && (
                                <>
                                    {' '}
                                    (
                                    <Link to={`/kits/${task.made_kit}`} style={{ color: 'inherit' }}>
                                        {task.made_kit}
                                    </Link>
                                    )
                                </>
                            )}
                            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                {task.closed_by}, {task.closed_on && sayDay(task.closed_on)}
                                {task.reason && `: ${task.reason}`}
                            </Typography>
                        </Box>
                    ))}
                </Sheet>
            )}
            <Deference />
        </Page>
    );
}

/** A module that is in its kit and not filled: the kit counts without it. */
function ToFill({ task, mayDo }: { task: Schemas['TaskResource']; mayDo: boolean }) {
    return (
        <Box
            sx={{
                borderTop: 1,
                borderColor: 'divider',
                py: 3,
                display: 'flex',
                flexWrap: 'wrap',
                gap: 2,
                justifyContent: 'space-between',
            }}
        >
            <Box sx={{ minWidth: 0, flex: '1 1 320px' }}>
                <Typography sx={{ fontWeight: 600 }}>
                    <Link to={`/kits/${task.kit}`} style={{ color: 'inherit' }}>
                        {task.kit} {task.kit_name}
                    </Link>
                    {words.linesShort(count(task.lines_to_fill, 'line is', 'lines are'))}
                </Typography>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {task.text}. {task.closed_by}, {task.closed_on && sayDay(task.closed_on)}
                </Typography>
            </Box>
            {mayDo && (
                <Button variant="contained" component={Link} to={`/kits/${task.kit}/restock`}>
                    {words.restock(task.kit ?? '')}
                </Button>
            )}
        </Box>
    );
}

const verbs = {
    make: words.equipThisKit,
    move: words.markAsMoved,
    upgrade: words.markModuleAsAdded,
    retire: words.retireThisKit,
};

function OpenTask({ task, mayDo, mayMake }: { task: Schemas['TaskResource']; mayDo: boolean; mayMake: boolean }) {
    const client = useQueryClient();
    const [isDropping, setIsDropping] = useState(false);
    const [reason, setReason] = useState('');
    const close = useMutation({
        mutationFn: (state: 'done' | 'dropped') =>
            ask(
                api.PUT('/tasks/{task}', {
                    params: { path: { task: task.id } },
                    body: { state, reason: reason.trim() || null },
                }),
            ),
        onSuccess: async (now) => {
            client.setQueryData(['assessment', now.id], now);
            await client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'assessment' });
        },
    });
    const problem = isProblem(close.error) ? close.error : null;
    const equip = new URLSearchParams({
        task: task.id,
        ...(task.design_id ? { design: task.design_id } : {}),
        ...(task.place_id ? { place: task.place_id } : {}),
    });
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 3 }}>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, justifyContent: 'space-between' }}>
                <Box sx={{ minWidth: 0, flex: '1 1 320px' }}>
                    <Typography sx={{ fontWeight: 600 }}>{task.text}</Typography>
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {task.why}
                        {task.place && (task.kind === 'make' || task.kind === 'move') && words.itGoesTo(task.place)}
                    </Typography>
                    {task.user && (
                        <Typography variant="body2">
                            {words.givenTo(task.user.name, task.due_on === null ? '' : sayDay(task.due_on))}
                        </Typography>
                    )}
                </Box>
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'start' }}>
                    {task.kind === 'make' && mayMake && (
                        <Button variant="contained" component={Link} to={`/kits/new?${equip.toString()}`}>
                            {verbs.make}
                        </Button>
                    )}
                    {task.kind !== 'make' && mayDo && (
                        <Button
                            variant="contained"
                            onClick={() => close.mutate('done')}
                            disabled={close.isPending}
                            aria-label={`${verbs[task.kind]}: ${task.text}`}
                        >
                            {verbs[task.kind]}
                        </Button>
                    )}
                    {mayMake && <GivePlanTask task={task} />}
                    {mayDo && !isDropping && <Button onClick={() => setIsDropping(true)}>{words.declineTask}</Button>}
                </Box>
            </Box>
            {isDropping && (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'start', mt: 2 }}>
                    <Write
                        label={words.reasonForDeclining}
                        value={reason}
                        onWrite={setReason}
                        problem={problem?.at('reason')}
                        help={words.itIsRecordedWithThe}
                    />
                    <Button onClick={() => close.mutate('dropped')} disabled={close.isPending}>
                        {words.decline}
                    </Button>
                </Box>
            )}
            {problem && !problem.at('reason') && <Trouble error={problem} />}
        </Box>
    );
}
