import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dailyQuestions } from '../api/dailyQuestions';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { AskDialog } from '../ui/AskDialog';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { ReasonDialog } from '../ui/ReasonDialog';
import { sayInstant } from '../ui/words';
import { ReportForm } from './ReportForm';
import { words } from './words';

type Report = Schemas['ReportResource'];

const saidOf = (report: Report): string => report.items.map((one) => `${one.pieces} × ${one.name}`).join(', ');

/** What was reported used of a kit: confirmed or rejected by who answers for it, reported by who may not record it. */
export default function ReportsPage() {
    const { code = '' } = useParams();
    const { data: kit, error } = useQuery(questions.kit(code));
    const { data: reports } = useQuery(dailyQuestions.reports(code));
    const { may } = useSession();
    const { data: duties } = useQuery({ ...questions.kitTasks('all', code), enabled: may('check') });
    const [sent, setSent] = useState(0);
    const client = useQueryClient();
    if (!kit || !reports) {
        return <Waiting error={error} />;
    }
    const open = reports.filter((one) => one.outcome === null);
    const decided = reports.filter((one) => one.outcome !== null);
    const mayDecide = duties?.may_give === true;
    const items = [...new Map(kit.contents.map((row) => [row.item, { item: row.item, name: row.name }])).values()];
    items.sort((one, other) => one.name.localeCompare(other.name));
    return (
        <Page
            title={words.reportsOf(kit.code, kit.name)}
            beside={
                <Button component={Link} to={`/kits/${kit.code}`}>
                    {words.backToKit(kit.code)}
                </Button>
            }
        >
            <Box sx={{ maxWidth: 820 }}>
                <Sheet title={words.waiting}>
                    {open.length === 0 && <Empty>{may('equip') ? words.nothingWaitsLead : words.nothingWaits}</Empty>}
                    {open.map((report) => (
                        <Waits key={report.id} report={report} kit={kit.code} mayDecide={mayDecide} />
                    ))}
                </Sheet>
                {may('report') && !may('restock') && !kit.retired_on && (
                    <Sheet title={words.whatWasUsed}>
                        <ReportForm
                            key={sent}
                            items={items}
                            send={(id, used) =>
                                ask(
                                    api.PUT('/kits/{kit}/reports/{id}', {
                                        params: { path: { kit: kit.code, id } },
                                        body: { items: used },
                                    }),
                                )
                            }
                            onSent={() => {
                                setSent(sent + 1);
                                void client.invalidateQueries();
                            }}
                        />
                    </Sheet>
                )}
                {decided.length > 0 && (
                    <Sheet title={words.decided}>
                        {decided.map((report) => (
                            <Decided key={report.id} report={report} />
                        ))}
                    </Sheet>
                )}
            </Box>
        </Page>
    );
}

function Waits({ report, kit, mayDecide }: { report: Report; kit: string; mayDecide: boolean }) {
    const { timeZone } = useSession();
    const what = saidOf(report);
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 3 }}>
            <Typography sx={{ fontWeight: 600 }}>{what}</Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {words.reported(sayInstant(report.reported_at, timeZone), report.by)}.{' '}
                {report.counted_since && words.counted} {!mayDecide && words.whoDecides}
            </Typography>
            {mayDecide && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 2 }}>
                    {report.counted_since ? (
                        <ConfirmCounted report={report} kit={kit} what={what} />
                    ) : (
                        <Button component={Link} to={`/kits/${kit}/use?report=${report.id}`} variant="contained">
                            {words.confirm}
                        </Button>
                    )}
                    <Reject report={report} kit={kit} what={what} />
                </Box>
            )}
        </Box>
    );
}

function useAnswered(kit: string) {
    const client = useQueryClient();
    return async (reports: Report[]) => {
        client.setQueryData(dailyQuestions.reports(kit).queryKey, reports);
        await client.invalidateQueries();
    };
}

function ConfirmCounted({ report, kit, what }: { report: Report; kit: string; what: string }) {
    const answered = useAnswered(kit);
    return (
        <AskDialog
            word={words.confirmCounted}
            title={words.confirmAsk(what)}
            done={words.confirmCounted}
            about={words.confirmAbout}
            field="report"
            save={async () =>
                answered(
                    await ask(api.PUT('/reports/{report}/confirmation', { params: { path: { report: report.id } } })),
                )
            }
        />
    );
}

function Reject({ report, kit, what }: { report: Report; kit: string; what: string }) {
    const answered = useAnswered(kit);
    return (
        <ReasonDialog
            word={words.reject}
            title={words.rejectAsk(what)}
            look="outlined"
            label={words.rejectReason}
            help={words.rejectHelp}
            save={async (reason) =>
                answered(
                    await ask(
                        api.PUT('/reports/{report}/rejection', {
                            params: { path: { report: report.id } },
                            body: { reason },
                        }),
                    ),
                )
            }
        />
    );
}

function Decided({ report }: { report: Report }) {
    const { timeZone } = useSession();
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
            <Typography>
                <strong>{report.outcome && words.outcomes[report.outcome]}</strong>: {saidOf(report)}
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {words.reported(sayInstant(report.reported_at, timeZone), report.by)};{' '}
                {words.byOn(report.decided_by ?? '', sayInstant(report.decided_at ?? report.reported_at, timeZone))}
                {report.reason && `: ${report.reason}`}
            </Typography>
        </Box>
    );
}
