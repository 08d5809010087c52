import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { ShiftVerdicts } from '../ui/ShiftVerdicts';
import { VerdictJobs } from '../pack/VerdictSheet';
import { useSession } from '../session/useSession';
import { Page, Sheet, Waiting } from '../ui/Page';
import { Notice } from '../ui/Notice';
import { VerdictMark, VerdictShape } from '../ui/VerdictMark';
import { count, sayDay, sayInstant, verdictWords } from '../ui/words';
import { CountedRows } from './CountedRows';
import { TwoColumns } from '../ui/TwoColumns';
import { words } from './words';

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
            title={words.of(check.kind === 'full' ? 'Full check' : 'Quick check', check.kit, check.kit_name)}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {check.place}
                    {words.signedBy2}
                    {check.signed}
                    {check.by !== check.signed && words.accountOf(check.by)}, {sayInstant(check.done_at, timeZone)}
                    {late && words.received(sayInstant(check.received_at, timeZone))}
                </Typography>
            }
            beside={
                <>
                    <Button component={Link} to={`/kits/${check.kit}`}>
                        {words.toTheKit}
                    </Button>
                    <Button component={Link} to={`/kits/${check.kit}/history`}>
                        {words.history}
                    </Button>
                    {may('export') && (
                        <Button component="a" href={`/api/operations/${check.id}/copy`} download>
                            {words.signedCopy}
                        </Button>
                    )}
                </>
            }
        >
            <Standing check={check} />
            <TwoColumns widths="1.25fr 1fr">
                <Box sx={{ minWidth: 0 }}>
                    <AsSigned check={check} />
                </Box>
                <Box sx={{ minWidth: 0 }}>
                    <Today kit={check.kit} />
                    <BasedOn check={check} />
                </Box>
            </TwoColumns>
        </Page>
    );
}

/** Whether it answers for the kit, where it arrived late. */
function Standing({ check }: { check: Check }) {
    const standing = {
        stands: null,
        superseded: words.aLaterCheckWasRecorded,
        disputed: words.anotherCheckWasMadeAt,
        history: words.theKitWasOpenedUsed,
    }[check.standing];
    return standing === null && check.unsettled.length === 0 ? null : (
        <Notice>
            {standing && <strong>{standing}</strong>}
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
                        {words.asSigned}
                        {check.mass_g} g{check.max_mass_g !== null && words.ofAtMostG(check.max_mass_g)}.
                        {check.seal_found && words.sealRead(check.seal_found)}
                        {check.seal_set && words.closedWithSeal(check.seal_set)}
                    </Typography>
                </div>
            </Box>
            {check.findings.length === 0 && <Typography sx={{ mt: 3 }}>{words.nothingWasFoundWrong}</Typography>}
            <Box component="ul" sx={{ m: 0, mt: 3, p: 0, listStyle: 'none' }}>
                {check.findings.map((finding, index) => (
                    <Box component="li" key={index} sx={{ py: 1, fontWeight: finding.severity === 'stop' ? 700 : 400 }}>
                        {finding.text}
                    </Box>
                ))}
            </Box>
            {check.seal_reason && (
                <Typography sx={{ mt: 2 }}>
                    {words.sealBroken}
                    {check.seal_reason}
                </Typography>
            )}
            {check.note && (
                <Typography sx={{ mt: 2 }}>
                    {words.note2}
                    {check.note}
                </Typography>
            )}
            <CountedRows check={check} />
        </Sheet>
    );
}

function Today({ kit: code }: { kit: string }) {
    const { data: kit, error } = useQuery(questions.kit(code));
    return (
        <Sheet title={words.today}>
            {kit ? (
                <>
                    <VerdictMark verdict={kit.verdict.verdict} />
                    <Typography sx={{ mt: 1 }}>{kit.verdict.sentence}</Typography>
                    <ShiftVerdicts shifts={kit.verdict.shifts} />
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {kit.due.text}
                    </Typography>
                    <VerdictJobs verdict={kit.verdict} kit={kit.code} />
                </>
            ) : (
                // Never left out: what was signed then is not what the kit is now.
                <Typography role={error ? 'alert' : 'status'}>{error ? words.todayNotKnown : words.reading}</Typography>
            )}
        </Sheet>
    );
}

function BasedOn({ check }: { check: Check }) {
    return (
        <Sheet title={words.basedOn}>
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
                <dt>{words.list}</dt>
                <dd>
                    {check.list_title}, edition {check.list_edition},{' '}
                    {check.list_confirmed ? 'confirmed' : 'unconfirmed'}
                </dd>
                <dt>{words.design}</dt>
                <dd>{check.design}</dd>
                <dt>{words.expiredItems}</dt>
                <dd>{check.expiry === 'strict' ? words.countAsMissing : words.expiredStockKeptAsReserve}</dd>
                <dt>{words.inDateUntil}</dt>
                <dd>
                    {words.theNextCheck}
                    {sayDay(check.next_check)}, and {count(check.margin_days, 'day')} more
                </dd>
                <dt>{words.signedAs}</dt>
                <dd>{check.signed}</dd>
                <dt>{words.fromTheAccountOf}</dt>
                <dd>{check.by}</dd>
                {check.signed_because !== null && (
                    <>
                        <dt>{words.whyAnotherName}</dt>
                        <dd>{check.signed_because}</dd>
                    </>
                )}
                <dt>{words.record}</dt>
                <dd>
                    operation {check.number}, hash {check.hash}
                </dd>
                <dt>{words.publicKey}</dt>
                <dd>{check.public_key}</dd>
            </Box>
        </Sheet>
    );
}
