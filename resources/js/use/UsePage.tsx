import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { dailyQuestions } from '../api/dailyQuestions';
import { questions } from '../api/queries';
import { device } from '../offline/device';
import { useLeadOn } from '../offline/useLeadOn';
import { pocketName } from '../pack/VerdictSheet';
import { useSession } from '../session/useSession';
import { Notice } from '../ui/Notice';
import { OpenKit } from '../ui/OpenKit';
import { Caution, Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Sign } from '../ui/Sign';
import { TwoColumns } from '../ui/TwoColumns';
import { sayGoodUntil, sayInstant } from '../ui/words';
import { beginUse, keyOf, piecesIn, uses, withMore, withReported, type UseDraft } from './draft';
import { FinishUse } from './FinishUse';
import { TakenList } from './TakenList';
import { Timer } from './Timer';
import { Tools } from './Tools';
import { words } from './words';

type Content = Schemas['ContentResource'];

/** What was taken from a kit: press it, once for each piece, say why where it was not used up, and record it. */
export default function UsePage() {
    const { code = '' } = useParams();
    const { data: kit, error } = useQuery({ ...questions.kit(code), refetchOnWindowFocus: false });
    const kept = useSyncExternalStore(device.subscribe, () => uses.of(code));
    useLeadOn(uses.idOf(code), kept !== null);
    const [search] = useSearchParams();
    const [report, handsBack] = [search.get('report'), search.get('end') === 'shift'];
    // What is gone on with later says still which report it confirms.
    const meant = report ?? kept?.report ?? null;
    const { data: reports } = useQuery({ ...dailyQuestions.reports(code), enabled: meant !== null });
    const confirmed = reports?.find((one) => one.id === meant && one.outcome === null) ?? null;
    const fresh = useMemo(() => (kit ? { ...beginUse(kit), handsBack } : null), [kit, handsBack]);
    const draft = kept ?? fresh;
    useEffect(() => {
        if (!kit || !draft || draft.isWaiting) {
            return;
        }
        // What was begun before goes on as what it is called for now; a report that somebody else answered is no longer confirmed by it.
        if (confirmed && draft.report !== confirmed.id) {
            const rows = kit.contents.filter((row) => row.lot_id !== null);
            uses.keep(piecesIn(draft) > 0 ? { ...draft, report: confirmed.id } : withReported(draft, rows, confirmed));
        } else if (reports && draft.report !== null && !confirmed) {
            uses.keep({ ...draft, report: null });
        } else if (handsBack && !draft.handsBack) {
            uses.keep({ ...draft, handsBack });
        }
    }, [kit, draft, reports, confirmed, handsBack]);
    return kit && draft ? <Takes kit={kit} draft={draft} report={confirmed} /> : <Waiting error={error} />;
}

interface TakesProps {
    kit: Schemas['KitResource'];
    draft: UseDraft;
    /** That this confirms. */
    report: Schemas['ReportResource'] | null;
}

function Takes({ kit, draft, report }: TakesProps) {
    const { timeZone } = useSession();
    const tools = draft.handsBack ? kit.contents.filter((row) => row.comes_back && row.lot_id !== null) : [];
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
        <Page
            title={draft.handsBack ? words.handBackTitle(kit.code, kit.name) : words.useOf(kit.code, kit.name)}
            above={draft.handsBack && <Typography sx={{ color: 'text.secondary' }}>{words.endOfShiftAbout}</Typography>}
        >
            {report && (
                <Notice>
                    {words.confirmsReport(
                        sayInstant(report.reported_at, timeZone),
                        report.items.map((one) => `${one.pieces} × ${one.name}`).join(', '),
                    )}
                </Notice>
            )}
            {tools.length > 0 && <Tools kit={kit} tools={tools} draft={draft} set={set} />}
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
                        <FinishUse kit={kit} draft={draft} set={set} isFixed={!atDesk} tools={tools.map(keyOf)} />
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
                            <Box component="strong" sx={{ whiteSpace: 'nowrap' }}>
                                {taken > 0 ? words.takenOf(taken, row.quantity) : words.noneTaken(row.quantity)}
                            </Box>
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
