import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, done, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Empty, Trouble } from '../ui/Page';
import { sayMoney } from '../ui/words';
import { words } from './words';

type Offer = Schemas['MayLeaveOut'];

interface LeaveOutProps {
    /** The design that it is of; null: a new one, of which nobody has left anything behind yet. */
    design: string | null;
    offers: Offer[];
    currency: string;
}

const figure = (value: number) => value.toLocaleString('en-GB');

/** What may be left out, with what it frees, and with what came of leaving it behind before. */
export function LeaveOut({ design, offers, currency }: LeaveOutProps) {
    return (
        <>
            <Typography variant="h3" sx={{ mt: 3 }}>
                {words.leaveOut}
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {words.leaveOutAbout}
            </Typography>
            {offers.length === 0 ? (
                <Empty>{words.noLeaveOut}</Empty>
            ) : (
                <Box component="ol" sx={{ pl: 5, my: 1 }}>
                    {offers.map((one) => (
                        <li key={one.line}>
                            {one.hazards.length > 0 && <strong>{words.answersHazards(one.hazards.join('; '))} </strong>}
                            {one.text}:{' '}
                            {words.frees(
                                words.grams(figure(one.mass_g)),
                                one.bulk_ml === null ? null : `${figure(one.bulk_ml)} ml`,
                                sayMoney(one.cost, currency),
                            )}
                            {design !== null && <Missed design={design} offer={one} />}
                        </li>
                    ))}
                </Box>
            )}
        </>
    );
}

function Missed({ design, offer }: { design: string; offer: Offer }) {
    const [leftOn, setLeftOn] = useState('');
    const [note, setNote] = useState('');
    const client = useQueryClient();
    const again = () => client.invalidateQueries({ queryKey: ['foresight', design] });
    const [id, setId] = useState(newId);
    const remove = useMutation({
        mutationFn: (remark: string) =>
            done(api.DELETE('/designs/{design}/missed/{id}', { params: { path: { design, id: remark } } })),
        onSuccess: again,
    });
    return (
        <>
            {offer.missed.map((remark) => (
                <Box key={remark.id} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'baseline' }}>
                    <strong>{words.remarkBy(remark.text, remark.by)}</strong>
                    <Button
                        variant="text"
                        size="small"
                        aria-label={words.removeRemarkOf(remark.text)}
                        disabled={remove.isPending}
                        onClick={() => remove.mutate(remark.id)}
                    >
                        {words.removeRemark}
                    </Button>
                </Box>
            ))}
            {remove.error && <Trouble error={remove.error} />}{' '}
            <FormDialog
                word={words.itWasMissed}
                wordFor={words.itWasMissedOf(offer.text)}
                look="text"
                title={words.itWasMissedOf(offer.text)}
                done={words.saveRemark}
                isReady={leftOn !== '' && note.trim() !== ''}
                onOpen={() => {
                    setLeftOn('');
                    setNote('');
                    setId(newId());
                }}
                save={async () => {
                    await done(
                        api.PUT('/designs/{design}/missed/{id}', {
                            params: { path: { design, id } },
                            body: { item: offer.item, left_on: leftOn, note: note.trim() },
                        }),
                    );
                    await again();
                }}
            >
                {(problem) => (
                    <>
                        <Write
                            label={words.leftBehindOn}
                            type="date"
                            value={leftOn}
                            onWrite={setLeftOn}
                            problem={problem?.at('left_on')}
                            slotProps={{ inputLabel: { shrink: true } }}
                        />
                        <Write
                            label={words.howMissed}
                            value={note}
                            onWrite={setNote}
                            problem={problem?.at('note')}
                            help={words.howMissedHelp}
                            slotProps={{ htmlInput: { maxLength: 200 } }}
                        />
                    </>
                )}
            </FormDialog>
        </>
    );
}
