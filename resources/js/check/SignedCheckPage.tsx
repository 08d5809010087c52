import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { VerdictJobs } from '../pack/VerdictSheet';
import { useSession } from '../session/useSession';
import { Page, Sheet, Waiting } from '../ui/Page';
import { Notice } from '../ui/Notice';
import { VerdictMark, VerdictShape } from '../ui/VerdictMark';
import { count, sayDay, sayInstant, verdictWords } from '../ui/words';
import { CountedRows } from './CountedRows';

type Check = Schemas['CheckResource'];

/** A check as it was signed, with the verdict of that day; and apart from it what the kit's verdict is today. */
export default function SignedCheckPage() {
    const { id = '' } = useParams();
    const { data: check, error } = useQuery(questions.check(id));
    const { timeZone, may } = useSession();
    if (!check) {
        return <Waiting error={error} />;
    }
    const late = check.received_at !== check.done_at;
    return (
        <Page
            title={`${check.kind === 'full' ? 'Full check' : 'Quick check'} of ${check.kit} ${check.kit_name}`}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {check.place} · signed by {check.signed}, {sayInstant(check.done_at, timeZone)}
                    {late && `, received ${sayInstant(check.received_at, timeZone)}`}
                </Typography>
            }
            beside={
                <>
                    <Button component={Link} to={`/kits/${check.kit}`}>
                        To the kit
                    </Button>
                    <Button component={Link} to={`/kits/${check.kit}/history`}>
                        History
                    </Button>
                    {may('export') && (
                        <Button component="a" href={`/api/operations/${check.id}/copy`} download>
                            Signed copy
                        </Button>
                    )}
                </>
            }
        >
            <Standing check={check} />
            <Box
                sx={{
                    display: 'grid',
                    gap: 4,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1.25fr) minmax(0, 1fr)' },
                    alignItems: 'start',
                }}
            >
                <Box sx={{ minWidth: 0 }}>
                    <AsSigned check={check} />
                </Box>
                <Box sx={{ minWidth: 0 }}>
                    <Today kit={check.kit} />
                    <BasedOn check={check} />
                </Box>
            </Box>
        </Page>
    );
}

/** Whether it answers for the kit, where it arrived late. */
function Standing({ check }: { check: Check }) {
    const words = {
        stands: null,
        superseded: 'A later check was recorded before this one arrived. It is in the history and changes nothing.',
        disputed:
            'Another check was made at about the same time, and nobody knows which came first. The kit has the worse of both verdicts until a full check settles it.',
        history:
            'The kit was opened, used, checked or retired before this arrived. It is in the history and changes nothing.',
    }[check.standing];
    return words === null && check.unsettled.length === 0 ? null : (
        <Notice>
            {words && <strong>{words}</strong>}
            {check.unsettled.length > 0 && (
                <>
                    <div>{count(check.unsettled.length, 'entry needs', 'entries need')} you:</div>
                    <Box component="ul" sx={{ m: 0, pl: 5 }}>
                        {check.unsettled.map((row) => (
                            <li key={row.id}>{row.text}.</li>
                        ))}
                    </Box>
                </>
            )}
        </Notice>
    );
}

function AsSigned({ check }: { check: Check }) {
    return (
        <Sheet>
            <Box sx={{ display: 'flex', gap: 3, alignItems: 'flex-start' }}>
                <VerdictShape verdict={check.verdict} size={34} />
                <div>
                    <Typography variant="h2">
                        {verdictWords[check.verdict]} on {sayDay(check.day)}
                    </Typography>
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        As signed. {check.mass_g} g{check.max_mass_g !== null && ` of at most ${check.max_mass_g} g`}.
                        {check.seal_found && ` Seal ${check.seal_found} read.`}
                        {check.seal_set && ` Closed with seal ${check.seal_set}.`}
                    </Typography>
                </div>
            </Box>
            {check.findings.length === 0 && <Typography sx={{ mt: 3 }}>Nothing was found wrong.</Typography>}
            <Box component="ul" sx={{ m: 0, mt: 3, p: 0, listStyle: 'none' }}>
                {check.findings.map((finding, index) => (
                    <Box component="li" key={index} sx={{ py: 1, fontWeight: finding.severity === 'stop' ? 700 : 400 }}>
                        {finding.text}
                    </Box>
                ))}
            </Box>
            {check.seal_reason && <Typography sx={{ mt: 2 }}>Seal broken: {check.seal_reason}</Typography>}
            {check.note && <Typography sx={{ mt: 2 }}>Note: {check.note}</Typography>}
            <CountedRows check={check} />
        </Sheet>
    );
}

function Today({ kit: code }: { kit: string }) {
    const { data: kit } = useQuery(questions.kit(code));
    return kit ? (
        <Sheet title="Today">
            <VerdictMark verdict={kit.verdict.verdict} />
            <Typography sx={{ mt: 1 }}>{kit.verdict.sentence}</Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {kit.due.text}
            </Typography>
            <VerdictJobs verdict={kit.verdict} kit={kit.code} />
        </Sheet>
    ) : null;
}

function BasedOn({ check }: { check: Check }) {
    return (
        <Sheet title="Based on">
            <Box
                component="dl"
                sx={{
                    display: 'grid',
                    gridTemplateColumns: 'minmax(96px, auto) minmax(0, 1fr)',
                    gap: '6px 16px',
                    m: 0,
                    '& dt': { color: 'text.secondary' },
                    '& dd': { m: 0, overflowWrap: 'anywhere' },
                }}
            >
                <dt>List</dt>
                <dd>
                    {check.list_title}, edition {check.list_edition},{' '}
                    {check.list_confirmed ? 'confirmed' : 'unconfirmed'}
                </dd>
                <dt>Design</dt>
                <dd>{check.design}</dd>
                <dt>Expired items</dt>
                <dd>{check.expiry === 'strict' ? 'count as missing' : 'expired stock kept as reserve'}</dd>
                <dt>In date until</dt>
                <dd>
                    the next check, {sayDay(check.next_check)}, and {count(check.margin_days, 'day')} more
                </dd>
                <dt>Entered by</dt>
                <dd>{check.by}</dd>
                <dt>Record</dt>
                <dd>
                    operation {check.number}, hash {check.hash}
                </dd>
                <dt>Public key</dt>
                <dd>{check.public_key}</dd>
            </Box>
        </Sheet>
    );
}
