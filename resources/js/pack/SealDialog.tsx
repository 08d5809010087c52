import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { newId } from '../api/newId';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { clockCheckedAt, timeNow } from '../api/clock';
import { questions } from '../api/queries';
import { words } from './words';

/** The seal of a kit by itself: broken, with the reason, or set, with its number. */
export function SealDialog({ kit }: { kit: Schemas['KitResource'] }) {
    const [isOpen, setOpen] = useState(false);
    const isIntact = kit.seal.state === 'intact';
    return (
        <>
            <Button onClick={() => setOpen(true)}>{isIntact ? words.reportSealBroken : words.sealThisKit}</Button>
            <Dialog open={isOpen} onClose={() => setOpen(false)} aria-labelledby="seal" fullWidth maxWidth="sm">
                {isOpen && <Form kit={kit} isIntact={isIntact} onClose={() => setOpen(false)} />}
            </Dialog>
        </>
    );
}

function Form({ kit, isIntact, onClose }: { kit: Schemas['KitResource']; isIntact: boolean; onClose: () => void }) {
    const client = useQueryClient();
    const [id] = useState(newId);
    const [begunAt] = useState(timeNow);
    const [text, setText] = useState('');
    const save = useMutation({
        mutationFn: () =>
            ask(
                api.PUT('/kits/{kit}/seals/{id}', {
                    params: { path: { kit: kit.code, id } },
                    body: {
                        event: isIntact ? 'broken' : 'set',
                        seal_number: isIntact ? null : text.trim(),
                        reason: isIntact ? text.trim() : null,
                        begun_at: begunAt,
                        done_at: timeNow(),
                        clock_checked_at: clockCheckedAt(),
                        base: kit.base,
                    },
                }),
            ),
        onSuccess: async (renewed) => {
            client.setQueryData(questions.kit(kit.code).queryKey, renewed);
            await client.invalidateQueries();
            onClose();
        },
    });
    const problem = isProblem(save.error) ? save.error : null;
    return (
        <form
            onSubmit={(event) => {
                event.preventDefault();
                save.mutate();
            }}
        >
            <DialogTitle id="seal">{isIntact ? words.sealOfIsBroken(kit.code) : words.seal2(kit.code)}</DialogTitle>
            <DialogContent>
                <TextField
                    label={isIntact ? words.reason : words.numberOfTheNewSeal}
                    value={text}
                    autoFocus
                    fullWidth
                    onChange={(event) => setText(event.target.value)}
                    error={problem !== null}
                    helperText={
                        problem?.at(isIntact ? 'reason' : 'seal_number') ??
                        problem?.message ??
                        (isIntact ? words.suchAsFoundBrokenOn : words.readItFromTheSeal)
                    }
                    slotProps={{ htmlInput: { maxLength: isIntact ? 200 : 40 } }}
                    sx={{ mt: 1 }}
                />
            </DialogContent>
            <DialogActions>
                <Button onClick={onClose}>{words.cancel}</Button>
                <Button type="submit" variant="contained" disabled={text.trim() === '' || save.isPending}>
                    {isIntact ? words.reportSealBroken : words.recordSeal}
                </Button>
            </DialogActions>
        </form>
    );
}
