import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { firstQuestions } from '../api/firstQuestions';
import { newest } from '../api/newest';
import { useSession } from '../session/useSession';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Waiting } from '../ui/Page';
import { sayShifts } from '../ui/ShiftVerdicts';
import { KitLink } from '../ui/KitLink';
import { OfflineCopy } from '../ui/OfflineCopy';
import { VerdictMark, VerdictShape } from '../ui/VerdictMark';
import { count, sayInstant, sayWeekday, verdictWords } from '../ui/words';
import { NoWork, WhoseWork, whoseOf } from './WhoseWork';
import { TwoColumns } from '../ui/TwoColumns';
import { words } from './words';

const Horizon = lazy(() => import('./Horizon').then((part) => ({ default: part.Horizon })));

const Unsettled = lazy(() => import('../pack/Unsettled').then((part) => ({ default: part.Unsettled })));

const Loans = lazy(() => import('../restock/Loans').then((part) => ({ default: part.Loans })));
const Notes = lazy(() => import('../pack/Notes').then((part) => ({ default: part.NotesLeft })));

const Asks = lazy(() => import('../assess/Asks').then((part) => ({ default: part.Asks })));

const Following = lazy(() => import('./Following').then((part) => ({ default: part.Following })));

const Given = lazy(() => import('./Given').then((part) => ({ default: part.Given })));

const ASK_AGAIN_MS = 1500;

const bands = [
    { band: 'stop', title: words.doNotUse, detail: words.notReady },
    { band: 'now', title: words.now, detail: words.limitedOrACheckIs },
    { band: 'soon', title: words.withinAFortnight, detail: words.aCheckFallsDue2 },
    { band: 'later', title: words.atNextVisit, detail: words.actionRequired },
] as const;

/** What to do, most pressing first and in walking order, and what comes over thirteen months. */
export function TodayPage() {
    const [search, setSearch] = useSearchParams();
    const page = Number(search.get('page') ?? 1) || 1;
    const whose = whoseOf(search.get('whose'));
    const go = (to: number) => setSearch({ page: String(to), ...(whose === 'all' ? {} : { whose }) });
    const answer = useQuery({
        ...firstQuestions.today(page, whose),
        placeholderData: keepPreviousData,
        refetchInterval: (query) => (query.state.data?.being_judged ? ASK_AGAIN_MS : false),
    });
    const [today, error] = [newest(answer), answer.error];
    const { timeZone } = useSession();
    if (!today) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={words.today}
            above={<Typography sx={{ color: 'text.secondary' }}>{sayWeekday(today.as_of)}</Typography>}
            beside={<Counts today={today} />}
        >
            <OfflineCopy path="/api/today" timeZone={timeZone}>
                <TwoColumns>
                    <div>
                        {today.worker_silent_since && (
                            <Notice>
                                <strong>{words.workHasStopped}</strong>{' '}
                                {words.notJudgedSince(sayInstant(today.worker_silent_since, timeZone))}
                            </Notice>
                        )}
                        {today.backup_trouble && (
                            <Notice>
                                <strong>{words.backups[today.backup_trouble]}</strong>{' '}
                                {words.backupsMore[today.backup_trouble](
                                    today.backup_at ? sayInstant(today.backup_at, timeZone) : null,
                                )}
                            </Notice>
                        )}
                        <WhoseWork whose={whose} onChoose={(one) => setSearch(one === 'all' ? {} : { whose: one })} />
                        <Suspense fallback={null}>
                            <Unsettled />
                            {whose === 'mine' && <Given whose={whose} />}
                        </Suspense>
                        {today.work.length === 0 && <NoWork today={today} whose={whose} onFirstPage={() => go(1)} />}
                        {bands.map(({ band, title, detail }) => {
                            const work = today.work.filter((row) => row.band === band);
                            return (
                                work.length > 0 && (
                                    <Sheet
                                        key={band}
                                        title={title}
                                        beside={
                                            <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                                                {detail}
                                            </Typography>
                                        }
                                    >
                                        {work.map((row) => (
                                            <WorkRow key={row.kit} row={row} />
                                        ))}
                                    </Sheet>
                                )
                            );
                        })}
                        <Suspense fallback={null}>
                            <Notes />
                            {whose === 'all' && <Loans />}
                            {whose === 'all' && <Following />}
                            {whose === 'all' && <Given whose={whose} />}
                        </Suspense>
                        {today.pages > 1 && (
                            <Box
                                component="nav"
                                aria-label={words.pagesOfTheWorklist}
                                sx={{ display: 'flex', gap: 2, alignItems: 'center' }}
                            >
                                <Button disabled={page <= 1} onClick={() => go(page - 1)}>
                                    {words.previous}
                                </Button>
                                <span>
                                    {words.page}
                                    {today.page} of {today.pages}, {today.work_in_all}
                                    {words.tasksInAll}
                                </span>
                                <Button disabled={page >= today.pages} onClick={() => go(page + 1)}>
                                    {words.next}
                                </Button>
                            </Box>
                        )}
                    </div>
                    <Box sx={{ minWidth: 0 }}>
                        <Suspense fallback={null}>
                            <Horizon today={today} />
                        </Suspense>
                        <Suspense fallback={null}>
                            <Asks />
                        </Suspense>
                    </Box>
                </TwoColumns>
            </OfflineCopy>
        </Page>
    );
}

function Counts({ today }: { today: Schemas['TodayResource'] }) {
    return (
        <Box
            component="ul"
            aria-label={words.kitsByVerdict}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: '4px 20px', listStyle: 'none', m: 0, p: 0 }}
        >
            {today.counts
                .filter(({ verdict, kits }) => (verdict !== 'no_requirement' && verdict !== 'not_checked') || kits > 0)
                .map(({ verdict, kits }) => (
                    <Box component="li" key={verdict} sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
                        <VerdictShape verdict={verdict} size={15} />
                        <span>
                            <strong>{kits}</strong> of {today.kits} {verdictWords[verdict].toLowerCase()}
                        </span>
                    </Box>
                ))}
            {today.being_judged > 0 && (
                <Box component="li" sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
                    <VerdictShape verdict={null} size={15} />
                    {words.beingJudged(today.being_judged, today.kits)}
                </Box>
            )}
        </Box>
    );
}

function wordOf(row: Schemas['WorkResource']): string {
    if (row.job === 'check') {
        return row.check_kind === 'quick' ? words.quickCheck : words.check;
    }
    return {
        build: words.goOnPacking,
        report: words.answerReport,
        restock: words.restock,
        people: words.postAFirstAider,
    }[row.job];
}

/** Names the right that the offered action needs. */
function abilityFor(job: Schemas['WorkResource']['job']): string {
    return job === 'build' ? 'restock' : job === 'people' ? 'plan' : job;
}

function WorkRow({ row }: { row: Schemas['WorkResource'] }) {
    const { may } = useSession();
    const word = wordOf(row);
    return (
        <Box
            sx={{
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) auto' },
                gap: '4px 16px',
                alignItems: 'center',
                py: { xs: 2, md: 1 },
                borderBottom: 1,
                borderColor: 'divider',
                '&:last-of-type': { borderBottom: 0 },
            }}
        >
            <Box sx={{ minWidth: 0 }}>
                <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, alignItems: 'center' }}>
                    <KitLink code={row.kit} name={row.kit_name} />
                    <VerdictMark verdict={row.verdict} holdsThrough={row.holds_through} kit={row.kit} />
                </Box>
                <Typography variant="body2" sx={{ lineHeight: 1.35 }}>
                    <Box component="span" sx={{ color: 'text.secondary' }}>
                        {row.place.path}
                    </Box>
                    {[
                        ...(row.shifts.length > 0 ? [sayShifts(row.shifts)] : []),
                        ...row.reasons,
                        ...(row.more_reasons > 0 ? [`and ${count(row.more_reasons, 'more reason')}`] : []),
                    ].map((text) => (
                        <span key={text}> · {text}</span>
                    ))}
                </Typography>
            </Box>
            {may(abilityFor(row.job)) && (
                <Button
                    component={Link}
                    to={row.job === 'people' ? '/assess/people' : `/kits/${row.kit}/${row.job}`}
                    variant={row.band === 'now' || row.band === 'stop' ? 'contained' : 'outlined'}
                    aria-label={`${word} ${row.kit}`}
                    sx={{ minWidth: 110, minHeight: { md: 38 }, py: { md: 0.5 } }}
                >
                    {word}
                </Button>
            )}
        </Box>
    );
}
