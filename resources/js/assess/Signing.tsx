import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { useSession } from '../session/useSession';
import { Choose, Row, Write } from '../ui/Fields';
import { Sheet, Trouble } from '../ui/Page';

/** The plan that is chosen, and a name under it. The assessment stays as it is from then on. */
export function Signing({ site }: { site: Schemas['AssessmentResource'] }) {
    const client = useQueryClient();
    const { user } = useSession();
    const [chosen, setChosen] = useState<'least' | 'full'>('least');
    const [signed, setSigned] = useState(user?.name ?? '');
    const sign = useMutation({
        mutationFn: () =>
            ask(
                api.PUT('/assessments/{assessment}/signature', {
                    params: { path: { assessment: site.id } },
                    body: { chosen, signed },
                }),
            ),
        onSuccess: async (now) => {
            client.setQueryData(['assessment', site.id], now);
            await client.invalidateQueries({ queryKey: ['assessments'] });
        },
    });
    const problem = isProblem(sign.error) ? sign.error : null;
    return (
        <Sheet title="Choose and sign">
            <Typography sx={{ maxWidth: 760 }}>
                Once signed it cannot be changed. A review is due after a year, or when somebody reports that an area
                has changed.
            </Typography>
            <Row columns="minmax(0, 1fr) minmax(0, 1fr) auto">
                <Choose
                    label="Plan"
                    value={chosen}
                    onChoose={(value) => setChosen(value === 'full' ? 'full' : 'least')}
                    options={[
                        ['least', 'minimum provision: the least for the answers given'],
                        ['full', 'full provision: a kit of base size at every point'],
                    ]}
                />
                <Write label="Signed by" value={signed} onWrite={setSigned} problem={problem?.at('signed')} />
                <Button
                    variant="contained"
                    onClick={() => sign.mutate()}
                    disabled={sign.isPending}
                    sx={{ alignSelf: 'start' }}
                >
                    Sign the assessment
                </Button>
            </Row>
            {problem && <Trouble error={problem} />}
        </Sheet>
    );
}
