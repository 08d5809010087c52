import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { isProblem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { Empty } from '../ui/Page';
import { count } from '../ui/words';
import { words } from './words';

type Sent = Schemas['NewReport']['items'];

interface ReportFormProps {
    items: { item: string; name: string }[];
    /** Sent under an id that stays the same until it has gone through: twice, it counts once. */
    send: (id: string, items: Sent) => Promise<unknown>;
    onSent: () => void;
}

const MOST = 99;

/** Names of items, each pressed once for every piece that was used. */
export function ReportForm({ items, send, onSent }: ReportFormProps) {
    const [id] = useState(newId);
    const [search, setSearch] = useState('');
    const [used, setUsed] = useState<Record<string, number>>({});
    const report = useMutation({
        mutationFn: () =>
            send(
                id,
                Object.entries(used).map(([item, pieces]) => ({ item, pieces })),
            ),
        onSuccess: onSent,
    });
    const wanted = search.trim().toLowerCase();
    const shown = items.filter((one) => one.name.toLowerCase().includes(wanted));
    const pieces = Object.values(used).reduce((all, one) => all + one, 0);
    const more = (item: string, by: number) =>
        setUsed((now) => {
            const to = Math.min(MOST, (now[item] ?? 0) + by);
            const others = Object.fromEntries(Object.entries(now).filter(([one]) => one !== item));
            return to > 0 ? { ...others, [item]: to } : others;
        });
    return (
        <Box>
            {items.length > 8 && (
                <TextField
                    label={words.find}
                    type="search"
                    fullWidth
                    value={search}
                    onChange={(event) => setSearch(event.target.value)}
                    sx={{ mb: 2 }}
                />
            )}
            {shown.length === 0 && <Empty>{words.noItemMatches}</Empty>}
            {shown.map(({ item, name }) => (
                <Box key={item} sx={{ display: 'flex', gap: 1, borderTop: 1, borderColor: 'divider', py: 1 }}>
                    <Button
                        variant={used[item] ? 'outlined' : 'text'}
                        onClick={() => more(item, 1)}
                        sx={{ flex: 1, minHeight: 52, justifyContent: 'space-between', textAlign: 'left', gap: 2 }}
                    >
                        <Box component="span" sx={{ color: 'text.primary', minWidth: 0 }}>
                            {name}
                        </Box>
                        <Box component="span" sx={{ whiteSpace: 'nowrap', fontWeight: used[item] ? 700 : 400 }}>
                            {used[item] ? words.usedPieces(used[item]) : words.noneUsed}
                        </Box>
                    </Button>
                    {used[item] && (
                        <IconButton
                            aria-label={words.oneFewer(name)}
                            onClick={() => more(item, -1)}
                            sx={{ width: 52, border: 1, borderColor: 'divider', borderRadius: '6px' }}
                        >
                            −
                        </IconButton>
                    )}
                </Box>
            ))}
            {report.error && (
                <Typography role="alert" color="error" sx={{ mt: 3 }}>
                    {isProblem(report.error)
                        ? (report.error.at('items') ?? report.error.message)
                        : String(report.error)}
                </Typography>
            )}
            <Box sx={{ position: 'sticky', bottom: 0, bgcolor: 'background.default', py: 3 }}>
                <Button
                    variant="contained"
                    fullWidth
                    disabled={pieces === 0 || report.isPending}
                    onClick={() => report.mutate()}
                    sx={{ minHeight: 52 }}
                >
                    {pieces === 0 ? words.sendNone : words.send(count(pieces, 'piece'))}
                </Button>
            </Box>
        </Box>
    );
}
