import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, isProblem, type Problem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Row, Tick, Write } from '../ui/Fields';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { useKept } from '../offline/useKept';
import { Near } from '../ui/Near';
import { count, sayList } from '../ui/words';
import { LineEditor } from './LineEditor';
import { freshLine, linesOf, listToSend, type EditedList } from './editing';
import { offeredFor, withChoice } from './exclusions';
import { KnownClasses } from './KnownClasses';
import { words } from './words';

/** About so high is a line; of a long list those further down are drawn when they come near. */
const LINE_HEIGHT = 290;
const DRAWN_AT_ONCE = 8;

/** What was refused is drawn, so that its field says why. */
function isRefused(problem: Problem | null, at: number): boolean {
    return Object.keys(problem?.errors ?? {}).some((field) => field.startsWith(`lines.${at}.`));
}

/** Changes an edition that nobody has confirmed, line by line. */
export default function EditListPage() {
    const { id = '' } = useParams();
    const { data: list, error } = useQuery(questions.list(id));
    if (!list) {
        return <Waiting error={error} />;
    }
    if (list.confirmed) {
        return (
            <Page title={words.edition3(sayList(list), list.edition)}>
                <Notice>
                    {words.thisEditionIsConfirmedAnd}{' '}
                    <Link to={`/lists/${list.id}`} style={{ color: 'inherit' }}>
                        {words.makeANewEdition}
                    </Link>
                    {words.andChangeThat}
                </Notice>
            </Page>
        );
    }
    return <Editor key={`${list.id} ${list.revision}`} list={list} />;
}

function Editor({ list }: { list: Schemas['ListResource'] }) {
    const client = useQueryClient();
    const navigate = useNavigate();
    const { data: catalogue } = useQuery(questions.itemChoices());
    const items = useMemo(() => (catalogue ?? []).map(({ code, name }) => [code, name] as const), [catalogue]);
    const { typed, type, forget, isOld } = useKept<EditedList>(`list.${list.id}.${list.revision}`, {
        title: list.title,
        basis: list.basis,
        excludes: list.excludes.join(', '),
        people: list.made_for_people === null ? '' : String(list.made_for_people),
        days: list.made_for_days === null ? '' : String(list.made_for_days),
        lines: linesOf(list),
    });
    const keep = useMutation({
        mutationFn: () =>
            ask(
                api.PUT('/lists/{list}', {
                    params: { path: { list: list.id } },
                    body: listToSend(typed, list),
                }),
            ),
        onSuccess: async () => {
            forget();
            await client.invalidateQueries();
            void navigate(`/lists/${list.id}`);
        },
    });
    const problem = isProblem(keep.error) ? keep.error : null;
    const wrong = problem
        ? typed.lines.filter((_, at) => Object.keys(problem.errors).some((field) => field.startsWith(`lines.${at}.`)))
        : [];
    return (
        <Page
            title={words.changeEdition(sayList(list), list.edition)}
            beside={
                <Button component={Link} to={`/lists/${list.id}`}>
                    {words.theList}
                </Button>
            }
        >
            {isOld && <Notice>{words.yourEarlierChangesAreStill}</Notice>}
            <Sheet title={words.aboutThisList}>
                <Row columns="minmax(0, 1fr) minmax(0, 2fr)">
                    <Write
                        label={words.title}
                        value={typed.title}
                        onWrite={(title) => type({ ...typed, title })}
                        problem={problem?.at('title')}
                    />
                    <Write
                        label={words.basedOn}
                        value={typed.basis}
                        onWrite={(basis) => type({ ...typed, basis })}
                        problem={problem?.at('basis')}
                        help={words.aStandardAndItsEdition}
                    />
                </Row>
                <Row columns="minmax(0, 1fr) minmax(0, 1fr) minmax(0, 1fr)">
                    <Write
                        label={words.madeForPeople}
                        value={typed.people ?? ''}
                        onWrite={(people) => type({ ...typed, people })}
                        problem={problem?.at('made_for_people')}
                        help={words.madeForHelp}
                        slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                    />
                    <Write
                        label={words.madeForDays}
                        value={typed.days ?? ''}
                        onWrite={(days) => type({ ...typed, days })}
                        problem={problem?.at('made_for_days')}
                        slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                    />
                </Row>
                <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, mb: 3, display: 'grid', justifyItems: 'start' }}>
                    <Typography component="legend" variant="h3">
                        {words.policyOfTheList}
                    </Typography>
                    {offeredFor(typed.excludes).map(({ choice, isOn }) => (
                        <Tick
                            key={choice.label}
                            label={choice.label}
                            checked={isOn}
                            onTick={(on) => type({ ...typed, excludes: withChoice(typed.excludes, choice, on) })}
                        />
                    ))}
                </Box>
                <Write
                    label={words.excludedClasses}
                    value={typed.excludes}
                    onWrite={(excludes) => type({ ...typed, excludes })}
                    problem={
                        Object.entries(problem?.errors ?? {}).find(([field]) => field.startsWith('excludes'))?.[1][0]
                    }
                    help={words.classesWithCommasBetweenSuch}
                />
            </Sheet>
            <KnownClasses />
            <Sheet title={count(typed.lines.length, 'line')}>
                {typed.lines.map((line, at) => (
                    <Near key={line.code} height={LINE_HEIGHT} isNow={at < DRAWN_AT_ONCE || isRefused(problem, at)}>
                        <LineEditor
                            line={line}
                            at={at}
                            items={items}
                            problem={problem}
                            isFirst={at === 0}
                            isLast={at === typed.lines.length - 1}
                            onChange={(to) =>
                                type({ ...typed, lines: typed.lines.map((one, index) => (index === at ? to : one)) })
                            }
                            onRemove={() => type({ ...typed, lines: typed.lines.filter((_, index) => index !== at) })}
                            onMove={(by) => {
                                const lines = [...typed.lines];
                                lines.splice(at + by, 0, ...lines.splice(at, 1));
                                type({ ...typed, lines });
                            }}
                        />
                    </Near>
                ))}
                <Button
                    onClick={() => type({ ...typed, lines: [...typed.lines, freshLine(typed.lines)] })}
                    sx={{ mt: 3 }}
                >
                    {words.addALine}
                </Button>
            </Sheet>
            <Box
                sx={{
                    position: 'sticky',
                    zIndex: 5,
                    bottom: { xs: 76, md: 12 },
                    bgcolor: 'background.paper',
                    border: 1,
                    borderColor: 'divider',
                    borderRadius: '6px',
                    p: 3,
                }}
            >
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
                    <Button variant="contained" onClick={() => keep.mutate()} disabled={keep.isPending}>
                        {words.saveList}
                    </Button>
                    <Button
                        onClick={() => {
                            forget();
                            void navigate(`/lists/${list.id}`);
                        }}
                    >
                        {words.discardMyChanges}
                    </Button>
                    {wrong.length > 0 && (
                        <span role="alert">
                            {words.correct}
                            {wrong.map((line) => line.need || words.theLineWithoutANeed).join(', ')}.
                        </span>
                    )}
                </Box>
                {problem && problem.status !== 422 && <Trouble error={problem} />}
                {problem?.at('lines') && <Trouble error={problem} />}
            </Box>
        </Page>
    );
}
