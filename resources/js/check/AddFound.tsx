import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { words } from './words';

interface AddFoundProps {
    label: string;
    /** The item that the line is about, chosen to begin with. */
    preset: string | null;
    onAdd: (item: Schemas['ItemChoice']) => void;
}

/** Something that lies here and is not on record: which item it is; its lot, date and count are typed in its row. */
export function AddFound({ label, preset, onAdd }: AddFoundProps) {
    const [isOpen, setOpen] = useState(false);
    const [code, setCode] = useState(preset ?? '');
    const { data: items } = useQuery({ ...questions.itemChoices(), enabled: isOpen });
    if (!isOpen) {
        return (
            <Button variant="text" size="small" onClick={() => setOpen(true)} aria-label={label} sx={{ mt: 1 }}>
                {preset === null ? words.addAnItemThatIs : words.addAnotherItemFoundHere}
            </Button>
        );
    }
    const chosen = items?.find((item) => item.code === code);
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', mt: 2, width: '100%' }}>
            <TextField
                select
                slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
                label={words.itemFound}
                value={items ? code : ''}
                onChange={(event) => setCode(event.target.value)}
                sx={{ maxWidth: 340 }}
            >
                <option value="">{words.chooseOne}</option>
                {(items ?? []).map((item) => (
                    <option key={item.code} value={item.code}>
                        {item.name}
                    </option>
                ))}
            </TextField>
            <Button
                disabled={!chosen}
                onClick={() => {
                    if (chosen) {
                        onAdd(chosen);
                        setOpen(false);
                    }
                }}
            >
                {words.add}
            </Button>
            <Button variant="text" onClick={() => setOpen(false)}>
                {words.cancel}
            </Button>
        </Box>
    );
}
