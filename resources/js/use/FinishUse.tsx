import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '../api/client';
import { RestockTrouble } from '../restock/RestockState';
import { useSession } from '../session/useSession';
import { Confirm } from '../ui/Confirm';
import { Write } from '../ui/Fields';
import { count } from '../ui/words';
import { finish, isWhole, piecesIn, uses, type UseDraft } from './draft';
import { words } from './words';

interface FinishProps {
    kit: Schemas['KitResource'];
    draft: UseDraft;
    set: (to: (now: UseDraft) => UseDraft) => void;
    /** In hand: the button that records it stays at the thumb. */
    isFixed: boolean;
    /** Tools that must come back, by the keys of their rows. */
    tools: string[];
}

function wordOf(draft: UseDraft, pieces: number, tools: string[]): string {
    if (draft.handsBack) {
        const unsaid = tools.filter((key) => draft.isBack[key] === undefined).length;
        if (unsaid > 0) {
            return words.sayOfTools(unsaid);
        }
        if (draft.signed.trim() === '') {
            return words.signFirst;
        }
        return pieces === 0 ? words.signNothing : words.signPieces(count(pieces, 'piece'));
    }
    return pieces === 0 ? words.recordNone : words.record(count(pieces, 'piece'));
}

/** Why the seal was broken, what happened, and that it is recorded. */
export function FinishUse({ kit, draft, set, isFixed, tools }: FinishProps) {
    const navigate = useNavigate();
    const [isDiscarding, setDiscarding] = useState(false);
    const pieces = piecesIn(draft);
    const isShut = kit.seal.state === 'intact' && (pieces > 0 || !draft.handsBack);
    const { user } = useSession();
    const record = (
        <Button
            variant="contained"
            disabled={draft.isWaiting || !isWhole(draft, isShut, tools)}
            onClick={() => uses.keep(finish(draft))}
            sx={{ minHeight: { xs: 56, md: 44 }, width: isFixed ? '100%' : 'auto' }}
        >
            {wordOf(draft, pieces, tools)}
        </Button>
    );
    return (
        <Box sx={{ display: 'grid', gap: 3, mt: 3 }}>
            {isShut && (
                <Write
                    label={words.sealReason}
                    value={draft.sealReason}
                    onWrite={(sealReason) => set((now) => ({ ...now, sealReason }))}
                    problem={draft.errors.seal_reason?.[0]}
                    help={words.sealReasonHelp}
                    slotProps={{ htmlInput: { maxLength: 200 } }}
                />
            )}
            <Write
                label={words.note}
                value={draft.note}
                onWrite={(note) => set((now) => ({ ...now, note }))}
                problem={draft.errors.note?.[0]}
                help={words.noteHelp}
                slotProps={{ htmlInput: { maxLength: 300 } }}
            />
            {draft.handsBack && (
                <Write
                    label={words.signed}
                    value={draft.signed}
                    onWrite={(signed) => set((now) => ({ ...now, signed }))}
                    problem={draft.errors.handed_back_by?.[0]}
                    help={words.signedHelp(user?.name ?? '')}
                    slotProps={{ htmlInput: { maxLength: 120 } }}
                />
            )}
            <RestockTrouble draft={draft} />
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {draft.handsBack ? words.thenRestock : words.falls}
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
                {!isFixed && record}
                <Button variant="text" onClick={() => void navigate(`/kits/${kit.code}`)}>
                    {words.leaveForNow}
                </Button>
                {pieces > 0 && !draft.isWaiting && (
                    <Button variant="text" onClick={() => setDiscarding(true)}>
                        {words.discard}
                    </Button>
                )}
            </Box>
            {isFixed && <Box sx={{ height: 64 }} />}
            {isFixed && (
                <Box
                    sx={{
                        position: 'fixed',
                        left: 0,
                        right: 0,
                        // Right above the bar of stages, which lies over its lower edge.
                        bottom: 'calc(56px + env(safe-area-inset-bottom))',
                        zIndex: 8,
                        bgcolor: 'background.paper',
                        borderTop: 1,
                        borderColor: 'divider',
                        p: 2,
                        pb: 4,
                    }}
                >
                    {record}
                </Box>
            )}
            {isDiscarding && (
                <Confirm
                    question={words.discardAsk}
                    word={words.discard}
                    onClose={() => setDiscarding(false)}
                    onConfirm={() => {
                        uses.drop(kit.code);
                        setDiscarding(false);
                    }}
                />
            )}
        </Box>
    );
}
