import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import { newId } from '../api/newId';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose } from '../ui/Fields';
import { Deference, Notice } from '../ui/Notice';
import { Empty, Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { count, sayDay, sayMoney } from '../ui/words';
import { noAnswers, toSend } from './answers';
import { AreaAnswered } from './AreaAnswered';
import { AreaPlans } from './AreaPlans';
import { AreaQuestions } from './AreaQuestions';
import { Signing } from './Signing';
import { Totals } from './Totals';
import { TwoColumns } from '../ui/TwoColumns';
import { words } from './words';

/** An assessment: its areas with their questions, and beside them the plan that follows. */
export default function AssessmentPage() {
    const { id = '' } = useParams();
    const [search, setSearch] = useSearchParams();
    const { data: site, error } = useQuery(questions.assessment(id));
    const { may } = useSession();
    if (!site) {
        return <Waiting error={error} />;
    }
    const isOpen = site.signed_on === null;
    const mayPlan = may('plan') && isOpen;
    const area = site.areas.find((one) => one.id === search.get('area')) ?? site.areas[0];
    return (
        <Page
            title={site.title}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {site.signed_on
                        ? words.signedByOnProvisionReview(
                              site.signed ?? '',
                              sayDay(site.signed_on),
                              site.chosen === 'full' ? 'full' : 'minimum',
                              sayDay(site.review_on ?? ''),
                          )
                        : words.underWaySinceBegunBy(sayDay(site.started_on), site.started_by)}
                </Typography>
            }
            beside={
                <>
                    <Button component={Link} to={`/assess/${site.id}/print`}>
                        {words.planToPrint}
                    </Button>
                    {!isOpen && (
                        <Button component={Link} to={`/assess/${site.id}/work`} variant="contained">
                            {words.carryOutThePlan}
                        </Button>
                    )}
                </>
            }
        >
            {site.asks_again.length > 0 && (
                <Notice>
                    <strong>{words.reviewDue2}</strong> {site.asks_again.join(' ')}{' '}
                    <Link to="/assess" style={{ color: 'inherit' }}>
                        {words.startTheNextAssessment}
                    </Link>
                    {words.itStartsFromTheAnswersOf}
                </Notice>
            )}
            <Since site={site} />
            <AreaTabs
                site={site}
                chosen={area?.id}
                onChoose={(one) => setSearch({ area: one }, { replace: true })}
                mayPlan={mayPlan}
            />
            {area === undefined && (
                <Sheet title={words.noAreaYet}>
                    <Empty>{words.addTheFirstAreaA}</Empty>
                </Sheet>
            )}
            {area && (
                <TwoColumns>
                    {mayPlan ? (
                        <AreaQuestions key={area.id} assessment={site.id} area={area} />
                    ) : (
                        <AreaAnswered area={area} isSigned={!isOpen} />
                    )}
                    <Box sx={{ position: { lg: 'sticky' }, top: { lg: 12 } }}>
                        <AreaPlans site={site} area={area} mayOverride={mayPlan} />
                    </Box>
                </TwoColumns>
            )}
            <Totals site={site} />
            {mayPlan && <Scheme site={site} />}
            {mayPlan && <Signing site={site} />}
            <Deference />
        </Page>
    );
}

function Since({ site }: { site: Schemas['AssessmentResource'] }) {
    const changed = site.areas.filter((area) => area.is_new || area.changes.length > 0);
    if (!site.follows) {
        return null;
    }
    return (
        <Typography sx={{ mb: 3, color: 'text.secondary' }}>
            {words.since}{' '}
            <Link to={`/assess/${site.follows.id}`} style={{ color: 'inherit' }}>
                {site.follows.title}
            </Link>
            :{' '}
            {changed.length === 0 && site.gone.length === 0
                ? words.nothingHasChangedYet
                : words.ofChangedOrNew(
                      count(changed.length, 'area'),
                      site.areas.length,
                      site.gone.length > 0 ? `; gone: ${site.gone.join(', ')}` : '',
                  )}
        </Typography>
    );
}

interface AreaTabsProps {
    site: Schemas['AssessmentResource'];
    chosen: string | undefined;
    onChoose: (area: string) => void;
    mayPlan: boolean;
}

function AreaTabs({ site, chosen, onChoose, mayPlan }: AreaTabsProps) {
    const client = useQueryClient();
    const add = useMutation({
        mutationFn: (id: string) =>
            ask(
                api.PUT('/assessments/{assessment}/areas/{id}', {
                    params: { path: { assessment: site.id, id } },
                    body: toSend({ ...noAnswers, name: freeName(site) }, 0),
                }),
            ),
        onSuccess: (now, id) => {
            client.setQueryData(['assessment', site.id], now);
            onChoose(id.toLowerCase());
        },
    });
    return (
        <Box component="nav" aria-label={words.areas} sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mb: 4 }}>
            {site.areas.map((area) => (
                <ButtonBase
                    key={area.id}
                    onClick={() => onChoose(area.id)}
                    aria-current={area.id === chosen ? 'true' : undefined}
                    sx={{
                        display: 'grid',
                        justifyItems: 'start',
                        textAlign: 'left',
                        px: 3,
                        py: 2,
                        minHeight: 44,
                        border: 1,
                        borderRadius: '6px',
                        borderColor: area.id === chosen ? 'primary.main' : 'divider',
                        boxShadow: area.id === chosen ? 'inset 0 -3px 0 var(--mui-palette-ochre)' : 'none',
                        bgcolor: 'background.paper',
                    }}
                >
                    <strong>{area.name}</strong>
                    <Typography variant="caption" component="span" sx={{ color: 'text.secondary' }}>
                        {count(area.least.kits, 'kit')}, {count(area.least.modules, 'module')},{' '}
                        {sayMoney(area.least.cost, site.currency)}
                        {(area.is_new || area.changes.length > 0) && ` · ${area.is_new ? 'new' : 'changed'}`}
                    </Typography>
                </ButtonBase>
            ))}
            {mayPlan && (
                <Button onClick={() => add.mutate(newId())} disabled={add.isPending}>
                    {words.addAnArea}
                </Button>
            )}
            {add.error && <Trouble error={add.error} />}
        </Box>
    );
}

/** "New area", or "New area 2" where that is taken. */
function freeName(site: Schemas['AssessmentResource']): string {
    const names = site.areas.map((area) => area.name);
    for (let turn = 1; ; turn++) {
        const name = turn === 1 ? words.newArea : words.newArea2(turn);
        if (!names.includes(name)) {
            return name;
        }
    }
}

function Scheme({ site }: { site: Schemas['AssessmentResource'] }) {
    const client = useQueryClient();
    const change = useMutation({
        mutationFn: (scheme: 'headcount' | 'class') =>
            ask(
                api.PUT('/assessments/{assessment}', {
                    params: { path: { assessment: site.id } },
                    body: { title: site.title, scheme },
                }),
            ),
        onSuccess: (now) => client.setQueryData(['assessment', site.id], now),
    });
    return (
        <Sheet title={words.howItIsCalculated}>
            <Choose
                label={words.calculatedBy}
                value={site.scheme}
                onChoose={(value) => change.mutate(value === 'class' ? 'class' : 'headcount')}
                options={[
                    ['headcount', words.headcountAndHazardSmallMedium],
                    ['class', words.classOfKitClassA],
                ]}
                helperText={words.whichOneFitsDependsOn}
                sx={{ maxWidth: 560 }}
            />
            {change.error && <Trouble error={change.error} />}
        </Sheet>
    );
}
