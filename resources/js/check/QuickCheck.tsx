import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { isSigned, SignedName } from '../session/SignedName';
import { useSession } from '../session/useSession';
import { Notes } from '../pack/Notes';
import { Page, Sheet } from '../ui/Page';
import { sign, type Draft } from './draft';
import { DraftTrouble, WaitingToSend } from './DraftState';
import { ThrowAway } from './ThrowAway';
import { words } from './words';

interface QuickCheckProps {
    kit: Schemas['KitResource'];
    draft: Draft;
    change: (to: (draft: Draft) => Draft) => void;
    onLeave: () => void;
}

/** The seal's number as it is read on the kit, a look at the outside, a name. */
export function QuickCheck({ kit, draft, change, onLeave }: QuickCheckProps) {
    const { user } = useSession();
    const set = (to: Partial<Draft>) => change((now) => ({ ...now, errors: {}, trouble: null, ...to }));
    const canSign = draft.sealFound.trim() !== '' && isSigned(user?.name ?? '', draft) && !draft.isWaiting;
    return (
        <Page
            title={words.quickCheckOf(kit.code, kit.name)}
            above={<Typography sx={{ color: 'text.secondary' }}>{kit.place.path}</Typography>}
        >
            <Notes notes={kit.notes} of={kit.code} />
            <Sheet title={words.sealAndOutside}>
                <Typography sx={{ mb: 4, maxWidth: 640 }}>{words.readTheNumberFromThe}</Typography>
                <TextField
                    label={words.numberOnTheSeal}
                    value={draft.sealFound}
                    onChange={(event) => set({ sealFound: event.target.value })}
                    error={draft.errors.seal_found !== undefined}
                    helperText={draft.errors.seal_found?.[0] ?? ' '}
                    sx={{ maxWidth: 420, mb: 2, display: 'flex' }}
                />
                <TextField
                    label={words.note}
                    multiline
                    minRows={2}
                    value={draft.note}
                    onChange={(event) => set({ note: event.target.value })}
                    helperText={words.whatTheOutsideLooksLike}
                    sx={{ maxWidth: 640, mb: 4, display: 'flex' }}
                />
                <SignedName {...draft} onChange={set} />
                <DraftTrouble draft={draft} />
                <WaitingToSend draft={draft} />
                <Button variant="contained" disabled={!canSign} onClick={() => change(sign)}>
                    {words.signAndFinish}
                </Button>{' '}
                <ThrowAway onThrow={onLeave} />
            </Sheet>
        </Page>
    );
}
