import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { isSigned, SignedName } from '../session/SignedName';
import { useSession } from '../session/useSession';
import { Sheet } from '../ui/Page';
import { count } from '../ui/words';
import { sign, type Draft } from './draft';
import { setModule } from './modules';
import { DraftTrouble, WaitingToSend } from './DraftState';
import { ThrowAway } from './ThrowAway';
import { words } from './words';

interface FinishSheetProps {
    kit: Schemas['KitResource'];
    draft: Draft;
    left: number;
    change: (to: (draft: Draft) => Draft) => void;
    /** Null where what discards is in a menu. */
    onLeave: (() => void) | null;
}

/** A note, a new seal where the kit is kept sealed, and a name: the check is signed when everything was looked at. */
export function FinishSheet({ kit, draft, left, change, onLeave }: FinishSheetProps) {
    const { user } = useSession();
    const set = (to: Partial<Draft>) => change((now) => ({ ...now, trouble: null, ...to }));
    const rowErrors = Object.keys(draft.errors).filter((field) => field.startsWith('rows.'));
    return (
        <Sheet title={words.finish}>
            <TextField
                label={words.note}
                multiline
                minRows={2}
                value={draft.note}
                onChange={(event) => set({ note: event.target.value })}
                error={draft.errors.note !== undefined}
                helperText={draft.errors.note?.[0] ?? words.whatTheNextOneShould}
                sx={{ mb: 3 }}
            />
            {kit.sealed_design && (
                <TextField
                    label={words.numberOfTheNewSeal}
                    value={draft.sealSet}
                    onChange={(event) => set({ sealSet: event.target.value })}
                    error={draft.errors.seal_set !== undefined}
                    helperText={draft.errors.seal_set?.[0] ?? words.thisDesignIsKeptSealed}
                    sx={{ mb: 3 }}
                />
            )}
            {draft.modules
                .filter((module) => module.state === 'opened')
                .map((module) => (
                    <TextField
                        key={module.code}
                        label={words.newSealOf(module.name)}
                        value={module.sealSet}
                        onChange={(event) =>
                            change((now) => setModule(now, module.code, { sealSet: event.target.value }))
                        }
                        helperText={words.leaveEmptyIfItStays}
                        slotProps={{ htmlInput: { maxLength: 40 } }}
                        sx={{ mb: 3 }}
                    />
                ))}
            {draft.modules.map(
                (module, index) =>
                    module.state === 'closed' &&
                    draft.errors[`modules.${index}.seal_found`] && (
                        <TextField
                            key={module.code}
                            label={words.numberOnTheSealOf(module.name)}
                            value={module.sealFound}
                            onChange={(event) =>
                                change((now) => setModule(now, module.code, { sealFound: event.target.value }))
                            }
                            error
                            helperText={draft.errors[`modules.${index}.seal_found`]?.[0]}
                            slotProps={{ htmlInput: { maxLength: 60 } }}
                            sx={{ mb: 3 }}
                        />
                    ),
            )}
            {(draft.sealReason !== '' || draft.errors.seal_reason !== undefined) && (
                <TextField
                    label={words.whySealWasBroken}
                    value={draft.sealReason}
                    onChange={(event) => set({ sealReason: event.target.value })}
                    error={draft.errors.seal_reason !== undefined}
                    helperText={draft.errors.seal_reason?.[0] ?? ' '}
                    sx={{ mb: 3 }}
                />
            )}
            <SignedName {...draft} onChange={set} />
            <DraftTrouble draft={draft} />
            {rowErrors.length > 0 && (
                <Typography sx={{ mb: 2 }}>
                    {count(rowErrors.length, 'row')}
                    {words.inThePocketsAboveNeed}
                </Typography>
            )}
            <WaitingToSend draft={draft} />
            {left > 0 && (
                <Typography variant="body2" sx={{ mb: 2 }}>
                    {count(left, 'row')}
                    {words.notCountedYetCountEach}
                </Typography>
            )}
            <Button
                id="finish"
                variant="contained"
                disabled={draft.isWaiting || !isSigned(user?.name ?? '', draft) || left > 0}
                onClick={() => change(sign)}
            >
                {words.signAndFinish}
            </Button>{' '}
            {onLeave && <ThrowAway onThrow={onLeave} />}
        </Sheet>
    );
}
