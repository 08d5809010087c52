import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { VerdictSheet } from '../pack/VerdictSheet';
import { useSession } from '../session/useSession';
import { Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { VerdictMark } from '../ui/VerdictMark';
import { count, sayDay, sayInstant } from '../ui/words';

/** A check as it was signed, and what the kit's verdict is now. */
export default function SignedCheckPage() {
    const { id = '' } = useParams();
    const { data: check, error } = useQuery(questions.check(id));
    const { data: kit } = useQuery({ ...questions.kit(check?.kit ?? ''), enabled: check !== undefined });
    const { timeZone } = useSession();
    if (!check) {
        return <Waiting error={error} />;
    }
    const isLatest = kit?.last_check?.id === check.id;
    return (
        <Page
            title={`${check.kind === 'full' ? 'Full check' : 'Quick check'} of ${check.kit} ${check.kit_name}`}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    Signed by {check.signed}, {sayInstant(check.finished_at, timeZone)}
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
                </>
            }
        >
            <Box
                sx={{
                    display: 'grid',
                    gap: 4,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1fr)' },
                    alignItems: 'start',
                }}
            >
                {kit && isLatest ? (
                    <VerdictSheet verdict={kit.verdict} kit={kit.code} leaves={kit.leaves} />
                ) : (
                    <Then check={check} />
                )}
                <Sheet title="As signed">
                    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '4px 20px', mb: 2 }}>
                        <VerdictMark verdict={check.verdict} />
                        <span>{check.mass_g} g</span>
                        <span>next check {sayDay(check.next_check)}</span>
                        {check.seal_set && <span>closed with seal {check.seal_set}</span>}
                    </Box>
                    {check.seal_reason && <Typography>Seal broken: {check.seal_reason}</Typography>}
                    {check.note && <Typography>Note: {check.note}</Typography>}
                    <Counted check={check} />
                    <Typography
                        variant="caption"
                        sx={{ display: 'block', mt: 3, color: 'text.secondary', overflowWrap: 'anywhere' }}
                    >
                        Check number {check.number}, entered by {check.by}. Mark of this record and all before it:{' '}
                        {check.hash}
                    </Typography>
                </Sheet>
            </Box>
        </Page>
    );
}

function Then({ check }: { check: Schemas['CheckResource'] }) {
    return (
        <Sheet title="What it found then">
            {check.findings.length === 0 && <Typography>Nothing.</Typography>}
            {check.findings.map((finding, index) => (
                <Typography key={index} sx={{ py: 1, fontWeight: finding.severity === 'stop' ? 700 : 400 }}>
                    {finding.text}
                </Typography>
            ))}
        </Sheet>
    );
}

function Counted({ check }: { check: Schemas['CheckResource'] }) {
    const others = check.rows.filter((row) => row.counted !== row.recorded);
    return (
        <>
            <Typography sx={{ mt: 2 }}>
                {check.rows.length === 0
                    ? 'The kit stayed shut; its seal was read.'
                    : `${count(check.rows.length, 'row')} counted, ${others.length === 0 ? 'all as recorded' : `${others.length} otherwise than recorded`}.`}
            </Typography>
            {check.rows.length > 0 && (
                <Box component="details" open={others.length > 0} sx={{ mt: 1 }}>
                    <Box
                        component="summary"
                        sx={{ cursor: 'pointer', minHeight: 32, fontWeight: 600, color: 'primary.main' }}
                    >
                        Rows
                    </Box>
                    <Table>
                        <thead>
                            <tr>
                                <th scope="col">Item</th>
                                <th scope="col">Pocket</th>
                                <th scope="col" className="n">
                                    Counted
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {check.rows.map((row, index) => (
                                <tr key={index}>
                                    <td>
                                        {row.name}
                                        {row.lot && `, lot ${row.lot}`}
                                        {row.condition !== 'good' && <strong>, {row.condition}</strong>}
                                    </td>
                                    <td>{row.pocket}</td>
                                    <td className="n">
                                        {row.counted === row.recorded ? (
                                            row.counted
                                        ) : (
                                            <strong>{`${row.counted}, recorded ${row.recorded}`}</strong>
                                        )}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                </Box>
            )}
        </>
    );
}
