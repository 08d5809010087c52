import Autocomplete, { createFilterOptions } from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { api, ask } from '../api/client';
import { useSettled } from './useSettled';
import { words } from './words';

export type Choice = readonly [value: string, word: string];

/** More are never read through: who types finds what they look for. */
const SHOWN = 60;

interface SearchProps {
    label: string;
    value: string;
    options: readonly Choice[];
    onChoose: (value: string) => void;
    placeholder?: string;
    error?: boolean;
    helperText?: ReactNode;
    sx?: { maxWidth?: number; mt?: number };
    disabled?: boolean;
    /** Whether it is empty again for the next choice, once one was made. */
    clears?: boolean;
    /** Whether the next choice is made at once; else what was chosen has the focus. */
    goesOn?: boolean;
}

interface FieldProps extends SearchProps {
    /** Where the options come from the server: what is typed goes there. */
    onType?: (text: string) => void;
    isReading?: boolean;
}

const among = createFilterOptions<Choice>({ limit: SHOWN, stringify: ([value, word]) => `${word} ${value}` });

/** A choice out of many: typing narrows them down. For a few, a list of the device serves better (Choose). */
export function Search({
    label,
    value,
    options,
    onChoose,
    onType,
    isReading = false,
    clears = false,
    goesOn = true,
    ...field
}: FieldProps) {
    const [times, setTimes] = useState(0);
    const chosen = options.find(([one]) => one === value) ?? null;
    const { placeholder, error, helperText, sx, disabled } = field;
    return (
        <Autocomplete<Choice, false, boolean>
            key={times}
            options={options}
            value={chosen}
            disabled={disabled ?? false}
            loading={isReading}
            loadingText={words.reading}
            noOptionsText={words.nothingFound}
            openOnFocus
            autoHighlight
            getOptionLabel={([, word]) => word}
            getOptionKey={([one]) => one}
            isOptionEqualToValue={([one], [other]) => one === other}
            filterOptions={onType ? (found) => found : among}
            onInputChange={(_, text, reason) => {
                if (reason === 'input') {
                    onType?.(text);
                }
            }}
            onChange={(_, to) => {
                onChoose(to === null ? '' : to[0]);
                if (clears) {
                    setTimes(times + 1);
                }
            }}
            renderOption={({ key, ...props }, [, word]) => (
                <Box component="li" key={key} {...props} sx={{ minHeight: 44 }}>
                    {word}
                </Box>
            )}
            renderInput={(props) => (
                <TextField
                    {...props}
                    label={label}
                    placeholder={placeholder ?? words.typeToFind}
                    autoFocus={times > 0 && goesOn}
                    error={error ?? false}
                    helperText={helperText}
                    slotProps={{ ...props.slotProps, inputLabel: { ...props.slotProps.inputLabel, shrink: true } }}
                />
            )}
            sx={{ minWidth: 0, ...sx }}
        />
    );
}

/** A place, looked for by the server: there may be thousands. */
export function SearchPlace({ value, without = [], ...field }: Omit<SearchProps, 'options'> & { without?: string[] }) {
    const [typed, setTyped] = useState('');
    const text = useSettled(typed);
    const { data: found, isFetching } = useQuery({
        queryKey: ['places', 'named', text],
        queryFn: () => ask(api.GET('/places', { params: { query: { q: text } } })),
        placeholderData: (before) => before,
    });
    const known = found?.places.find((place) => place.id === value);
    const { data: chosen } = usePlace(known ? '' : value);
    const places = [...(found?.places ?? []), ...(chosen ? [chosen] : [])];
    return (
        <Search
            {...field}
            value={value}
            options={places.filter(({ id }) => !without.includes(id)).map(({ id, path }) => [id, path] as const)}
            onType={setTyped}
            isReading={isFetching}
        />
    );
}

/** One place by its id; none while there is no id. */
export function usePlace(id: string) {
    return useQuery({
        queryKey: ['places', 'one', id],
        queryFn: async () => (await ask(api.GET('/places', { params: { query: { id } } }))).places[0] ?? null,
        enabled: id !== '',
    });
}
