import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { useSession } from '../session/useSession';
import { Choose, Row, Write } from '../ui/Fields';
import { Sheet, Trouble } from '../ui/Page';
import { useForeseen } from '../ui/Foreseen';
import { count } from '../ui/words';
import { words } from './words';

/** The plan that is chosen, and a name under it. The assessment stays as it is from then on. */
export function Signing({ site }: { site: Schemas['AssessmentResource'] }) {
    const client = useQueryClient();
    const { user } = useSession();
    const [chosen, setChosen] = useState<'least' | 'full'>('least');
    const [signed, setSigned] = useState(user?.name ?? '');
    const sign = useForeseen({
        write: (headers) =>
            ask(
                api.PUT('/assessments/{assessment}/signature', {
                    params: { path: { assessment: site.id } },
                    body: { chosen, signed },
                    headers,
                }),
            ),
        onSuccess: async (now) => {
            client.setQueryData(['assessment', site.id], now);
            await client.invalidateQueries({ queryKey: ['assessments'] });
        },
    });
    const problem = isProblem(sign.error) ? sign.error : null;
    return (
        <Sheet title={words.chooseAndSign}>
            <Typography sx={{ maxWidth: 760 }}>{words.onceSignedItCannotBe}</Typography>
            {site.vehicles_to_place > 0 && (
                <Typography sx={{ mt: 2 }}>
                    {words.vehiclesToPlace(count(site.vehicles_to_place, 'vehicle'))}
                </Typography>
            )}
            <Row columns="minmax(0, 1fr) minmax(0, 1fr) auto">
                <Choose
                    label={words.plan}
                    value={chosen}
                    onChoose={(value) => setChosen(value === 'full' ? 'full' : 'least')}
                    options={[
                        ['least', words.minimumProvisionTheLeastFor],
                        ['full', words.fullProvisionAKitOf],
                    ]}
                />
                <Write label={words.signedBy} value={signed} onWrite={setSigned} problem={problem?.at('signed')} />
                <Button
                    variant="contained"
                    onClick={() => sign.begin()}
                    disabled={sign.isPending}
                    sx={{ alignSelf: 'start' }}
                >
                    {words.signTheAssessment}
                </Button>
            </Row>
            {problem && <Trouble error={problem} />}
            {sign.dialog}
        </Sheet>
    );
}
