import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import type { Outgoing } from '../offline/outbox';
import { Confirm } from '../ui/Confirm';
import { Choose } from '../ui/Fields';
import { Empty, Sheet } from '../ui/Page';
import { count } from '../ui/words';
import { absentLots, finish, piecesOf, restocks, type RestockDraft } from './draft';
import { words } from './words';

/** Why the server did not take it, and that it waits. */
export function RestockTrouble({ draft }: { draft: Outgoing }) {
    return (
        <>
            {draft.trouble && (
                <Box
                    role="alert"
                    sx={{ border: 1, borderLeft: 6, borderColor: 'error.main', borderRadius: '6px', p: 3, my: 3 }}
                >
                    <Typography sx={{ fontWeight: 700 }}>{draft.trouble.title}</Typography>
                    <Typography>{draft.trouble.detail}</Typography>
                    {draft.trouble.changes.map((one) => (
                        <Typography key={one}>{one}</Typography>
                    ))}
                </Box>
            )}
            {draft.isWaiting && (
                <Typography role="status" sx={{ my: 3 }}>
                    {words.savedAndWaiting}
                </Typography>
            )}
        </>
    );
}

/** The list as it is now, instead of the one that was begun: asked first, since what was ticked goes. */
export function BeginAnew({ draft }: { draft: RestockDraft }) {
    const [isAsked, setAsked] = useState(false);
    if (draft.isWaiting || restocks.of(draft.kit) === null) {
        return null;
    }
    return (
        <>
            <Button variant="text" onClick={() => setAsked(true)}>
                {words.readListAnew}
            </Button>
            {isAsked && (
                <Confirm
                    question={words.discardTicks}
                    word={words.readListAnew}
                    onClose={() => setAsked(false)}
                    onConfirm={() => restocks.drop(draft.kit)}
                />
            )}
        </>
    );
}

/** Where what goes in comes from: to choose while nothing is begun. */
export function ChooseStore({
    draft,
    stores,
    onStore,
}: {
    draft: RestockDraft;
    stores: Schemas['StoreRef'][];
    onStore: (store: string) => void;
}) {
    return (
        stores.length > 1 && (
            <Choose
                label={words.store}
                value={draft.store}
                onChoose={onStore}
                options={stores.map((one) => [one.id, one.name] as const)}
                sx={{ width: 240 }}
            />
        )
    );
}

export function NothingToDo({ draft }: { draft: RestockDraft }) {
    return (
        <Sheet title={words.nothingToRestock}>
            <Empty>{draft.missing.length > 0 ? words.theStoreHasNothingThat : words.nothingIsMissingAndNothing}</Empty>
        </Sheet>
    );
}

interface FinishRestockProps {
    kit: Schemas['KitResource'];
    draft: RestockDraft;
    set: (to: (now: RestockDraft) => Partial<RestockDraft>) => void;
}

/** The seal, and that what is ticked is recorded. */
export function FinishRestock({ kit, draft, set }: FinishRestockProps) {
    const { steps, errors } = draft;
    const done = steps.filter((step) => step.isDone);
    const absent = absentLots(steps);
    return (
        <>
            {kit.seal.state === 'intact' && (
                <TextField
                    label={words.whySealWasBroken}
                    value={draft.sealReason}
                    onChange={(event) => set(() => ({ sealReason: event.target.value }))}
                    error={errors.seal_reason !== undefined}
                    helperText={errors.seal_reason?.[0] ?? words.aBrokenSealAsksFor}
                    sx={{ my: 3 }}
                />
            )}
            {kit.sealed_design && (
                <TextField
                    label={words.numberOfTheNewSeal}
                    value={draft.sealSet}
                    onChange={(event) => set(() => ({ sealSet: event.target.value }))}
                    error={errors.seal_set !== undefined}
                    helperText={errors.seal_set?.[0] ?? words.leaveItEmptyIfThe}
                    sx={{ mb: 3 }}
                />
            )}
            <RestockTrouble draft={draft} />
            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                {words.onlyTickedStepsAreRecorded}{' '}
                {done.length < steps.length &&
                    words.notTicked(count(steps.length - done.length, 'step is', 'steps are'))}{' '}
                {absent.length > 0 && words.countsBecomeNone(count(absent.length, 'lot'), draft.storeName)}
            </Typography>
            <Button
                variant="contained"
                disabled={
                    (done.length === 0 && absent.length === 0) ||
                    draft.isWaiting ||
                    done.some((step) => piecesOf(step) === null)
                }
                onClick={() => restocks.keep(finish(draft))}
                sx={{ minHeight: { xs: 56, md: 44 } }}
            >
                {words.saveAndUpdateStatus}
            </Button>
        </>
    );
}
