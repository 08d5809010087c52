import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Notice } from '../ui/Notice';
import { Empty, Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { count, sayDay, sayScope } from '../ui/words';
import { words } from './words';

type Emergency = Schemas['EmergencyResource'];

/** What one casualty of each kind takes: by this it is counted for how many there are supplies. */
export default function EmergenciesPage() {
    const { data: all, error } = useQuery(questions.emergencies());
    const { may } = useSession();
    if (!all) {
        return <Waiting error={error} />;
    }
    const unconfirmed = all.filter((one) => one.confirmed_on === null).length;
    return (
        <Page
            title={words.emergencies}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.emergenciesAbout}</Typography>}
            beside={
                may('plan') && (
                    <Button component={Link} to="/emergencies/new">
                        {words.addAKind}
                    </Button>
                )
            }
        >
            <Notice>{words.noAdvice}</Notice>
            {unconfirmed > 0 && <Notice>{words.kindsUnconfirmed(unconfirmed, all.length)}</Notice>}
            <Sheet title={count(all.length, 'kind')}>
                {all.length === 0 ? (
                    <Empty>{words.noKindsYet}</Empty>
                ) : (
                    all.map((one) => <Kind key={one.code} emergency={one} mayPlan={may('plan')} />)
                )}
            </Sheet>
        </Page>
    );
}

function Kind({ emergency, mayPlan }: { emergency: Emergency; mayPlan: boolean }) {
    const client = useQueryClient();
    const confirm = useMutation({
        mutationFn: () =>
            ask(
                api.PUT('/emergencies/{code}/confirmation', {
                    params: { path: { code: emergency.code } },
                    body: { base: emergency.revision },
                }),
            ),
        onSuccess: () => client.invalidateQueries(),
    });
    const isConfirmed = emergency.confirmed_on !== null;
    return (
        <Box
            component="section"
            aria-label={emergency.title}
            sx={{
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '260px minmax(0, 1fr) auto' },
                gap: '4px 24px',
                borderTop: 1,
                borderColor: 'divider',
                py: 3,
            }}
        >
            <div>
                <strong>{emergency.title}</strong>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {words.asksForScope(sayScope(emergency.scope))} {words.helpersEach(emergency.helpers)}
                </Typography>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {isConfirmed
                        ? words.confirmedBy(emergency.confirmed_by ?? '', sayDay(emergency.confirmed_on ?? ''))
                        : words.unconfirmedKind}
                </Typography>
            </div>
            <div>
                <Box component="ul" sx={{ m: 0, pl: 5 }}>
                    {emergency.needs.map((need) => (
                        <li key={need.code}>
                            {words.needOf(need.quantity, need.title, need.reusable)}
                            <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
                                {' '}
                                {need.accepts.map((entry) => entry.text).join('; ')}
                            </Typography>
                        </li>
                    ))}
                </Box>
                <Typography variant="body2" sx={{ mt: 1, color: 'text.secondary' }}>
                    {emergency.basis}
                </Typography>
                {confirm.error && <Trouble error={confirm.error} />}
            </div>
            {mayPlan && (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'start', flexWrap: 'wrap' }}>
                    <Button
                        component={Link}
                        to={`/emergencies/${emergency.code}/edit`}
                        aria-label={words.changeKind(emergency.title)}
                    >
                        {words.change2}
                    </Button>
                    {!isConfirmed && (
                        <Button
                            onClick={() => confirm.mutate()}
                            disabled={confirm.isPending}
                            aria-label={words.confirmKind(emergency.title)}
                        >
                            {words.confirm2}
                        </Button>
                    )}
                </Box>
            )}
        </Box>
    );
}
