import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Row, Write } from '../ui/Fields';
import { Trouble } from '../ui/Page';

export interface Overriding {
    plan: 'least' | 'full';
    /** Null: something that the answers do not ask for. */
    part: Schemas['PartResource'] | null;
}

interface OverrideDialogProps {
    area: Schemas['AreaResource'];
    overriding: Overriding;
    onClose: () => void;
}

/** A figure in place of the calculated one, and why: the reason is printed with the plan. */
export function OverrideDialog({ area, overriding, onClose }: OverrideDialogProps) {
    const { part } = overriding;
    const client = useQueryClient();
    const { data: choices = [] } = useQuery(questions.choices());
    const [wanted, setWanted] = useState(part?.wanted ?? '');
    const [plan, setPlan] = useState<'least' | 'full' | 'both'>(overriding.plan);
    const [figure, setFigure] = useState(part ? String(part.count) : '1');
    const [reason, setReason] = useState(part?.override?.reason ?? '');
    const override = useMutation({
        mutationFn: (count: number | null) =>
            ask(
                api.PUT('/areas/{area}/override', {
                    params: { path: { area: area.id } },
                    body: { plan, wanted, count, reason: reason.trim() || null },
                }),
            ),
        onSuccess: (now) => {
            client.setQueryData(['assessment', now.id], now);
            onClose();
        },
    });
    const problem = isProblem(override.error) ? override.error : null;
    return (
        <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="override-title">
            <form
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    override.mutate(/^\d+$/.test(figure.trim()) ? Number(figure) : -1);
                }}
            >
                <DialogTitle id="override-title">
                    {part ? `${part.title} in ${area.name}` : `Add to ${area.name}`}
                </DialogTitle>
                <DialogContent>
                    {part && (
                        <Typography sx={{ mb: 2 }}>
                            Calculated: {part.calculated}. {part.because}
                        </Typography>
                    )}
                    {!part && (
                        <Choose
                            label="What"
                            value={wanted}
                            empty="Choose one"
                            onChoose={setWanted}
                            options={choices.map((one) => [one.wanted, one.title] as const)}
                            error={problem?.at('wanted') !== undefined}
                            helperText={problem?.at('wanted') ? 'Choose a kit or a module.' : ' '}
                            sx={{ mt: 2 }}
                        />
                    )}
                    <Row columns="minmax(0, 1fr) minmax(0, 1fr)">
                        <Write
                            label="Override with"
                            value={figure}
                            onWrite={setFigure}
                            problem={problem?.at('count')}
                            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                        />
                        <Choose
                            label="In"
                            value={plan}
                            onChoose={(value) => setPlan(value === 'full' || value === 'both' ? value : 'least')}
                            options={[
                                ['least', 'minimum provision'],
                                ['full', 'full provision'],
                                ['both', 'both'],
                            ]}
                        />
                    </Row>
                    <Write
                        label="Why"
                        multiline
                        minRows={3}
                        value={reason}
                        onWrite={setReason}
                        problem={problem?.at('reason')}
                        help="It is printed with the plan: somebody will ask. The regulator and the risk assessment decide."
                    />
                    {problem && problem.status !== 422 && <Trouble error={problem} />}
                </DialogContent>
                <DialogActions>
                    {part?.override && <Button onClick={() => override.mutate(null)}>Restore calculated figure</Button>}
                    <Button onClick={onClose}>Cancel</Button>
                    <Button type="submit" variant="contained" disabled={override.isPending}>
                        Save override
                    </Button>
                </DialogActions>
            </form>
        </Dialog>
    );
}
