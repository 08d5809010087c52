import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState, useSyncExternalStore } from 'react';
import { useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { device } from '../offline/device';
import { useLeadOn } from '../offline/useLeadOn';
import { pocketName } from '../pack/VerdictSheet';
import { OpenKit } from '../ui/OpenKit';
import { Caution, Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Sign } from '../ui/Sign';
import { TwoColumns } from '../ui/TwoColumns';
import { sayGoodUntil } from '../ui/words';
import { beginUse, keyOf, uses, withMore, type UseDraft } from './draft';
import { FinishUse } from './FinishUse';
import { TakenList } from './TakenList';
import { Timer } from './Timer';
import { words } from './words';

type Content = Schemas['ContentResource'];

/** What was taken from a kit: press it, once for each piece, say why where it was not used up, and record it. */
export default function UsePage() {
    const { code = '' } = useParams();
    const { data: kit, error } = useQuery({ ...questions.kit(code), refetchOnWindowFocus: false });
    const kept = useSyncExternalStore(device.subscribe, () => uses.of(code));
    useLeadOn(uses.idOf(code), kept !== null);
    const fresh = useMemo(() => (kit ? beginUse(kit) : null), [kit]);
    const draft = kept ?? fresh;
    return kit && draft ? <Takes kit={kit} draft={draft} /> : <Waiting error={error} />;
}

function Takes({ kit, draft }: { kit: Schemas['KitResource']; draft: UseDraft }) {
    const atDesk = useMediaQuery('(min-width:900px)');
    const [search, setSearch] = useState('');
    const [chosen, setChosen] = useState<string>();
    const set = (to: (now: UseDraft) => UseDraft) => {
        const now = uses.of(kit.code) ?? draft;
        uses.keep(to({ ...now, trouble: null, errors: {} }));
    };
    const wanted = search.trim().toLowerCase();
    const rows = kit.contents.filter((row) => row.lot_id !== null && row.name.toLowerCase().includes(wanted));
    const pockets = kit.leaves.flatMap((leaf) => leaf.pockets.map((pocket) => pocket.id));
    const shown = chosen !== undefined && wanted === '' ? [chosen] : pockets;
    const takenIn = (pocket: string) => {
        const taken = Object.values(draft.taken).filter((one) => one.pocket_id === pocket);
        return taken.length === 0
            ? ''
            : words.takenOf(
                  taken.reduce((all, one) => all + one.quantity, 0),
                  inPocket(kit, pocket),
              );
    };
    return (
        <Page title={words.useOf(kit.code, kit.name)}>
            <TwoColumns widths="1.2fr 1fr">
                <Box sx={{ minWidth: 0 }}>
                    <OpenKit
                        leaves={kit.leaves}
                        lines={kit.verdict.lines}
                        selected={chosen}
                        onSelect={(pocket) => setChosen(pocket === chosen ? undefined : pocket)}
                        note={takenIn}
                    />
                    <TextField
                        label={words.findItem}
                        type="search"
                        value={search}
                        onChange={(event) => setSearch(event.target.value)}
                        fullWidth
                        sx={{ my: 3 }}
                    />
                    <Typography sx={{ color: 'text.secondary', mb: 2 }}>{words.tapWhatWasTaken}</Typography>
                    {rows.length === 0 && (
                        <Empty>{kit.contents.length === 0 ? words.empty : words.noItemMatches}</Empty>
                    )}
                    {shown.map((pocket) => {
                        const own = rows.filter((row) => row.pocket_id === pocket);
                        return (
                            own.length > 0 && (
                                <Sheet key={pocket} title={pocketName(kit.leaves, pocket)}>
                                    {own.map((row) => (
                                        <Row
                                            key={keyOf(row)}
                                            row={row}
                                            draft={draft}
                                            onTake={(more) => set((now) => withMore(now, row, more))}
                                            onStart={(at) =>
                                                set((now) => ({ ...now, started: { ...now.started, [row.item]: at } }))
                                            }
                                        />
                                    ))}
                                </Sheet>
                            )
                        );
                    })}
                </Box>
                <Box sx={{ minWidth: 0 }}>
                    <Sheet title={words.what}>
                        <TakenList
                            kit={kit}
                            draft={draft}
                            onChange={(key, to) =>
                                set((now) => {
                                    const one = now.taken[key];
                                    return one ? { ...now, taken: { ...now.taken, [key]: { ...one, ...to } } } : now;
                                })
                            }
                        />
                        <FinishUse kit={kit} draft={draft} set={set} isFixed={!atDesk} />
                    </Sheet>
                </Box>
            </TwoColumns>
        </Page>
    );
}

const inPocket = (kit: Schemas['KitResource'], pocket: string): number =>
    kit.contents.reduce((all, row) => all + (row.pocket_id === pocket ? row.quantity : 0), 0);

interface RowProps {
    row: Content;
    draft: UseDraft;
    onTake: (more: number) => void;
    onStart: (at: string) => void;
}

/** One lot in a pocket: pressed once for each piece that was taken. */
function Row({ row, draft, onTake, onStart }: RowProps) {
    const taken = draft.taken[keyOf(row)]?.quantity ?? 0;
    const name = `${row.name}, ${row.lot ? words.lot(row.lot) : words.noLot}`;
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}>
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'stretch' }}>
                <Button
                    variant={taken > 0 ? 'outlined' : 'text'}
                    onClick={() => onTake(1)}
                    disabled={taken >= row.quantity}
                    sx={{ flex: 1, minHeight: 56, justifyContent: 'start', textAlign: 'left', gap: 2, minWidth: 0 }}
                >
                    <Sign of={row.item_class ?? ''} size={26} />
                    <Box component="span" sx={{ flex: 1, minWidth: 0, lineHeight: 1.35 }}>
                        <Box component="span" sx={{ display: 'block', color: 'text.primary' }}>
                            {row.name}
                        </Box>
                        <Typography component="span" variant="body2" sx={{ color: 'text.secondary', lineHeight: 1.35 }}>
                            {row.lot ? words.lot(row.lot) : words.noLot}, {sayGoodUntil(row.good_until, row.dated)}
                            {row.condition === 'opened' && `, ${words.isOpened}`}
                            {' · '}
                            <strong>
                                {taken > 0 ? words.takenOf(taken, row.quantity) : words.noneTaken(row.quantity)}
                            </strong>
                        </Typography>
                    </Box>
                    <span>{words.take}</span>
                </Button>
                {taken > 0 && (
                    <IconButton
                        aria-label={words.oneFewer(name)}
                        onClick={() => onTake(-1)}
                        sx={{ width: 56, border: 1, borderColor: 'divider', borderRadius: '6px' }}
                    >
                        −
                    </IconButton>
                )}
            </Box>
            <Caution text={row.caution} />
            {row.start_minutes !== null && (
                <Timer minutes={row.start_minutes} startedAt={draft.started[row.item]} onStart={onStart} />
            )}
        </Box>
    );
}
