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
import { words } from './words';

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
                    {part ? words.inWord(part.title, area.name) : words.addTo(area.name)}
                </DialogTitle>
                <DialogContent>
                    {part && (
                        <Typography sx={{ mb: 2 }}>
                            {words.calculated}
                            {part.calculated}. {part.because}
                        </Typography>
                    )}
                    {!part && (
                        <Choose
                            label={words.what}
                            value={wanted}
                            empty={words.chooseOne}
                            onChoose={setWanted}
                            options={choices.map((one) => [one.wanted, one.title] as const)}
                            error={problem?.at('wanted') !== undefined}
                            helperText={problem?.at('wanted') ? words.chooseAKitOrA : ' '}
                            sx={{ mt: 2 }}
                        />
                    )}
                    <Row columns="minmax(0, 1fr) minmax(0, 1fr)">
                        <Write
                            label={words.overrideWith}
                            value={figure}
                            onWrite={setFigure}
                            problem={problem?.at('count')}
                            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                        />
                        <Choose
                            label={words.inWord2}
                            value={plan}
                            onChoose={(value) => setPlan(value === 'full' || value === 'both' ? value : 'least')}
                            options={[
                                ['least', words.minimumProvision2],
                                ['full', words.fullProvision2],
                                ['both', 'both'],
                            ]}
                        />
                    </Row>
                    <Write
                        label={words.why}
                        multiline
                        minRows={3}
                        value={reason}
                        onWrite={setReason}
                        problem={problem?.at('reason')}
                        help={words.itIsPrintedWithThe}
                    />
                    {problem && problem.status !== 422 && <Trouble error={problem} />}
                </DialogContent>
                <DialogActions>
                    {part?.override && (
                        <Button onClick={() => override.mutate(null)}>{words.restoreCalculatedFigure}</Button>
                    )}
                    <Button onClick={onClose}>{words.cancel}</Button>
                    <Button type="submit" variant="contained" disabled={override.isPending}>
                        {words.saveOverride}
                    </Button>
                </DialogActions>
            </form>
        </Dialog>
    );
}
