import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask } from '../api/client';
import { Tick } from '../ui/Fields';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { count } from '../ui/words';
import { words } from './words';

const kinds = ['starter', 'house', 'module'] as const;

/** The catalogue, starter lists, house lists and modules that ship: taken whole, or those that are ticked. */
export default function ReferencePage() {
    const client = useQueryClient();
    const { data, error } = useQuery({ queryKey: ['reference'], queryFn: () => ask(api.GET('/reference')) });
    const [chosen, setChosen] = useState<string[]>([]);
    const [allItems, setAllItems] = useState(false);
    const take = useMutation({
        mutationFn: (body: { all_items: boolean; lists: string[] }) => ask(api.POST('/reference', { body })),
        onSuccess: async (now) => {
            client.setQueryData(['reference'], now);
            setChosen([]);
            setAllItems(false);
            await client.invalidateQueries({ predicate: (query) => query.queryKey[0] !== 'reference' });
        },
    });
    if (!data) {
        return <Waiting error={error} />;
    }
    const open = data.lists.filter((list) => !list.is_there);
    const toggle = (codes: string[], on: boolean) =>
        setChosen([...chosen.filter((code) => !codes.includes(code)), ...(on ? codes : [])]);
    return (
        <Page
            title={words.reference}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.referenceAbout}</Typography>}
            beside={
                <Button component={Link} to="/start">
                    {words.firstSteps}
                </Button>
            }
        >
            <Box sx={{ maxWidth: 980 }}>
                {take.isSuccess && <Notice>{words.takenOver}</Notice>}
                <Sheet title={words.itemsSheet}>
                    <Typography sx={{ mb: 2 }}>
                        {words.itemsThere(count(data.items_there, 'item'), count(data.items, 'generic item'))}
                    </Typography>
                    {data.items_there < data.items && (
                        <Tick label={words.allItems} checked={allItems} onTick={setAllItems} />
                    )}
                </Sheet>
                {kinds.map((kind) => {
                    const lists = data.lists.filter((list) => list.kind === kind);
                    const left = lists.filter((list) => !list.is_there).map((list) => list.code);
                    return (
                        <Sheet
                            key={kind}
                            title={words.referenceKinds[kind]}
                            beside={
                                left.length > 0 && (
                                    <Button
                                        size="small"
                                        aria-label={words.tickAllOf(words.referenceKinds[kind])}
                                        onClick={() => toggle(left, !left.every((code) => chosen.includes(code)))}
                                    >
                                        {left.every((code) => chosen.includes(code)) ? words.tickNone : words.tickAll}
                                    </Button>
                                )
                            }
                        >
                            <Box
                                sx={{
                                    display: 'grid',
                                    gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
                                    gap: '0 24px',
                                }}
                            >
                                {lists.map((list) => {
                                    const name = `${list.title}${list.size === null ? '' : `, ${list.size.replace('-', ' ')}`}`;
                                    return list.is_there ? (
                                        <Typography key={list.code} sx={{ py: 2 }}>
                                            ✓ {name}
                                            <Box component="span" sx={{ color: 'text.secondary' }}>
                                                {words.isThere}
                                            </Box>
                                        </Typography>
                                    ) : (
                                        <Tick
                                            key={list.code}
                                            label={words.listToTake(name, count(list.lines, 'line'))}
                                            checked={chosen.includes(list.code)}
                                            onTick={(on) => toggle([list.code], on)}
                                        />
                                    );
                                })}
                            </Box>
                        </Sheet>
                    );
                })}
                {take.error && <Trouble error={take.error} />}
                {open.length > 0 || data.items_there < data.items ? (
                    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
                        <Button
                            variant="contained"
                            disabled={take.isPending || (chosen.length === 0 && !allItems)}
                            onClick={() => take.mutate({ all_items: allItems, lists: chosen })}
                        >
                            {take.isPending ? words.takingOver : words.takeTicked(count(chosen.length, 'list'))}
                        </Button>
                        <Button
                            disabled={take.isPending}
                            onClick={() => take.mutate({ all_items: true, lists: open.map((list) => list.code) })}
                        >
                            {words.takeAll}
                        </Button>
                    </Box>
                ) : (
                    <Typography>{words.allTaken}</Typography>
                )}
            </Box>
        </Page>
    );
}
