import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery, type QueryKey, type UseQueryOptions } from '@tanstack/react-query';
import { Link } from 'react-router';
import { designQuestions } from '../api/designQuestions';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Page, Sheet, Waiting } from '../ui/Page';
import { words } from './words';

interface Step {
    title: string;
    about: string;
    /** What is there so far; null: nothing. */
    there: string | null;
    to: string;
    word: string;
}

/** From nothing to the first signed check: what comes next, and what follows from each step. Left and taken up again at will. */
export default function StartPage() {
    const { session } = useSession();
    const steps = useSteps();
    if (!steps) {
        return <Waiting error={null} />;
    }
    const done = steps.filter((step) => step.there !== null).length;
    const next = steps.findIndex((step) => step.there === null);
    return (
        <Page
            title={words.firstSteps}
            above={<Typography sx={{ color: 'text.secondary' }}>{session?.organisation}</Typography>}
            beside={<span>{words.stepsDone(done, steps.length)}</span>}
        >
            <Box sx={{ maxWidth: 820 }}>
                {next === -1 && (
                    <Sheet title={words.allStepsDone}>
                        <Typography>{words.allStepsDoneAbout}</Typography>
                    </Sheet>
                )}
                <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
                    {steps.map((step, at) => (
                        <Box
                            component="li"
                            key={step.title}
                            aria-current={at === next ? 'step' : undefined}
                            sx={{
                                display: 'grid',
                                gridTemplateColumns: { xs: '32px minmax(0, 1fr)', sm: '32px minmax(0, 1fr) auto' },
                                gap: '4px 16px',
                                alignItems: 'center',
                                bgcolor: 'background.paper',
                                border: 1,
                                borderColor: at === next ? 'primary.main' : 'divider',
                                borderRadius: '6px',
                                p: 3,
                                mb: 2,
                            }}
                        >
                            <Typography sx={{ fontWeight: 700 }}>{step.there === null ? at + 1 : '✓'}</Typography>
                            <div>
                                <Typography component="h2" sx={{ fontWeight: 700 }}>
                                    {step.title}
                                </Typography>
                                <Typography variant="body2">
                                    {step.there === null ? step.about : words.stepThere(step.there)}
                                </Typography>
                            </div>
                            <Button
                                component={Link}
                                to={step.to}
                                variant={at === next ? 'contained' : 'outlined'}
                                sx={{ gridColumn: { xs: '2', sm: 'auto' }, justifySelf: 'start' }}
                            >
                                {step.word}
                            </Button>
                        </Box>
                    ))}
                </Box>
            </Box>
        </Page>
    );
}

/** Read anew each time: a step that is done meanwhile does not move the others away from under a finger. */
function useFresh<T, K extends QueryKey>(question: UseQueryOptions<T, Error, T, K>): { data: T | undefined } {
    const { data, isFetchedAfterMount } = useQuery({ ...question, refetchOnMount: 'always' });
    return { data: isFetchedAfterMount ? data : undefined };
}

/** Kits that are not of a size of workplace kit: their lists ship with a choice. */
const OF_ANOTHER_KIND = ['travel', 'vehicle'];

function useSteps(): Step[] | null {
    const { data: places } = useFresh(questions.places('', 1));
    const { data: assessments } = useFresh(questions.assessments());
    const { data: confirmed } = useFresh(questions.lists({ confirmed: 'yes' }, 1));
    const { data: lists } = useFresh(questions.lists({}, 1));
    const { data: choices } = useFresh(questions.choices());
    const { data: designs } = useFresh(designQuestions.designs());
    const { data: kits } = useFresh(questions.kits({ sort: 'due' }, 1));
    const { data: stores } = useFresh(questions.stores());
    const { data: accounts } = useFresh(questions.accounts());
    if (!accounts || !places || !assessments || !confirmed || !lists || !choices || !designs || !kits || !stores) {
        return null;
    }
    const some = (many: number, one: string, more = `${one}s`) =>
        many === 0 ? null : `${many} ${many === 1 ? one : more}`;
    const pieces = stores.reduce((sum, store) => sum + store.pieces, 0);
    const filled = kits.kits.filter((kit) => !kit.wants_restock).length;
    const checked = kits.kits.filter((kit) => kit.last_full_on !== null).length;
    const signed = assessments.find((one) => one.signed_on !== null);
    const first = kits.kits.find((kit) => kit.last_full_on === null) ?? kits.kits[0];
    const step = (name: keyof typeof words.steps, there: string | null, to: string): Step => ({
        ...words.steps[name],
        there,
        to,
    });
    return [
        step('places', some(places.page.in_all, 'place'), '/places'),
        step('assess', some(assessments.length, 'assessment'), '/assess'),
        step('reference', some(lists.page.in_all, 'list'), '/start/reference'),
        step(
            'choices',
            some(
                choices.filter(
                    (one) => one.what === 'kit' && one.list !== null && !OF_ANOTHER_KIND.includes(one.wanted),
                ).length,
                'kind of kit',
                'kinds of kit',
            ),
            '/assess/choices',
        ),
        step('lists', some(confirmed.page.in_all, 'confirmed list'), '/lists'),
        step(
            'work',
            kits.page.in_all === 0 ? null : signed ? words.compared : words.withoutPlan,
            signed ? `/assess/${signed.id}/work` : '/assess',
        ),
        step('design', some(designs.length, 'design'), '/designs/new'),
        step('kits', some(kits.page.in_all, 'kit'), '/kits/new'),
        step('stores', some(stores.length, 'store'), '/stores'),
        step('goods', some(pieces, 'piece'), stores[0] ? `/stores/${stores[0].id}/receive` : '/stores'),
        step('fill', some(filled, 'kit filled', 'kits filled'), first ? `/kits/${first.code}/restock` : '/kits/new'),
        step('check', some(checked, 'kit checked', 'kits checked'), first ? `/kits/${first.code}/check` : '/kits/new'),
        step(
            'people',
            accounts.accounts.length < 2 ? null : `${accounts.accounts.length} accounts`,
            '/settings/people',
        ),
    ];
}
