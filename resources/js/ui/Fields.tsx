import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField, { type TextFieldProps } from '@mui/material/TextField';
import type { ReactNode } from 'react';

/** A choice from the device's own list: it serves gloves and keys alike. */
export function Choose({
    options,
    onChoose,
    empty,
    ...field
}: Omit<TextFieldProps, 'onChange' | 'select'> & {
    options: readonly (readonly [value: string, word: string])[];
    onChoose: (value: string) => void;
    empty?: string;
}) {
    return (
        <TextField
            {...field}
            select
            slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
            onChange={(event) => onChoose(event.target.value)}
        >
            {empty !== undefined && <option value="">{empty}</option>}
            {options.map(([value, word]) => (
                <option key={value} value={value}>
                    {word}
                </option>
            ))}
        </TextField>
    );
}

/** Text or a figure, with its error or help below it. */
export function Write({
    onWrite,
    problem,
    help,
    ...field
}: Omit<TextFieldProps, 'onChange' | 'error' | 'helperText'> & {
    onWrite: (text: string) => void;
    problem?: string | undefined;
    help?: ReactNode;
}) {
    return (
        <TextField
            {...field}
            error={problem !== undefined}
            helperText={problem ?? help}
            onChange={(event) => onWrite(event.target.value)}
        />
    );
}

export function Tick({
    label,
    checked,
    onTick,
}: {
    label: ReactNode;
    checked: boolean;
    onTick: (on: boolean) => void;
}) {
    return (
        <FormControlLabel
            sx={{ minHeight: 44, m: 0, alignItems: 'center' }}
            control={<Checkbox checked={checked} onChange={(_, on) => onTick(on)} />}
            label={label}
        />
    );
}

/** Fields side by side at the desk, one below the other in hand. */
export function Row({ children, columns }: { children: ReactNode; columns: string }) {
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 3,
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: columns },
                my: 3,
                alignItems: 'start',
            }}
        >
            {children}
        </Box>
    );
}
