import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { newId } from '../api/newId';
import { questions } from '../api/queries';
import { Write } from '../ui/Fields';
import { codesAfter, type EquipDraft } from './equip';
import { words } from './words';

const MOST = 20;

interface CodesProps {
    draft: EquipDraft;
    /** A kit that the new ones are like: their codes follow its letters. */
    like: string;
    set: (to: Partial<EquipDraft>) => void;
    children: ReactNode;
}

/** Codes with an id each; a kit that was listed before keeps its id. */
const numbered = (codes: string[], before: EquipDraft['others']): EquipDraft['others'] =>
    codes.map((code, at) => ({ id: before[at]?.id ?? newId(), code }));

/** One code that is typed, or as many as there are kits, each following the last. */
export function Codes({ draft, like, set, children }: CodesProps) {
    const [many, setMany] = useState(String(draft.others.length + 1));
    const wanted = /^\d{1,2}$/.test(many) ? Math.min(MOST, Number(many)) : 1;
    const { data: free } = useQuery(questions.freeCodes(Math.max(1, wanted), like));
    const codes = [draft.kit.code, ...draft.others.map((one) => one.code)];
    const take = (count: number) => {
        const next = free?.slice(0, count) ?? [];
        set({
            kit: { ...draft.kit, code: next[0] ?? draft.kit.code },
            others: numbered(next.slice(1), draft.others),
        });
    };
    return (
        <>
            {draft.kit.task === null && (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
                    <Write
                        label={words.howMany}
                        value={many}
                        onWrite={(typed) => {
                            setMany(typed);
                            const count = /^\d{1,2}$/.test(typed) ? Math.min(MOST, Number(typed)) : 1;
                            if (draft.kit.code !== '') {
                                // A code that was typed is followed by those after it, so that as many kits are made as it says.
                                set({ others: numbered(codesAfter(draft.kit.code, count - 1), draft.others) });
                            } else if (count === 1) {
                                set({ others: [] });
                            }
                        }}
                        help={words.howManyHelp}
                        slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 2 } }}
                    />
                    <Button onClick={() => take(Math.max(1, wanted))} disabled={free?.length !== wanted}>
                        {words.takeNextCodes}
                    </Button>
                </Box>
            )}
            {children}
            {draft.others.length > 0 && <Typography>{words.theseCodes(codes.join(', '))}</Typography>}
            {draft.others.length > 0 && (
                <Typography role="alert" color="error">
                    {Object.entries(draft.errors)
                        .filter(([field]) => field.startsWith('kits.'))
                        .map(([, texts]) => texts[0])
                        .join(' ')}
                </Typography>
            )}
        </>
    );
}
