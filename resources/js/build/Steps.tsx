import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { pocketName } from '../pack/VerdictSheet';
import { why } from '../restock/RestockRow';
import { Choose, Tick } from '../ui/Fields';
import { Caution, Empty } from '../ui/Page';
import { Sign } from '../ui/Sign';
import { TickCard } from '../ui/TickCard';
import { sayGoodUntil } from '../ui/words';
import { goesBack, leftOver, restTo, tasksIn, wholeOf, type PutIn } from './draft';
import type { Build } from './useBuild';
import { words } from './words';

interface StepProps {
    kit: Schemas['KitResource'];
    build: Build;
}

const lotOf = (row: { lot: string | null }) => (row.lot ? words.lot(row.lot) : words.noLot);

function What({ row, word, more }: { row: PutIn | Build['draft']['pieces'][number]; word?: string; more?: string }) {
    return (
        <>
            <Typography sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                <Sign of={row.item_class ?? ''} size={24} />
                <span>
                    {word && <strong>{word}</strong>} {row.name}
                </span>
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {lotOf(row)}, {sayGoodUntil(row.good_until, null)}
                {more && `; ${more}`}
            </Typography>
            <Caution text={row.caution} />
        </>
    );
}

/** What was in the kit, counted as it comes out. */
export function EverythingOut({ kit, build }: StepProps) {
    const { pieces } = build.draft;
    if (pieces.length === 0) {
        return <Empty>{words.wasEmpty}</Empty>;
    }
    return (
        <>
            <Typography sx={{ color: 'text.secondary', mb: 2 }}>
                {words.countOut}
                {kit.modules.some((module) => module.code !== null) &&
                    ` ${words.modulesStay(kit.modules.flatMap((module) => module.code ?? []).join(', '))}`}
            </Typography>
            {pieces.map((piece) => {
                const found = wholeOf(piece.found);
                const apart = found === null ? 0 : found - piece.quantity;
                return (
                    <TickCard
                        key={piece.key}
                        name={`${piece.name}, ${lotOf(piece)}, ${pocketName(kit.leaves, piece.pocket_id)}`}
                        isDone={piece.isCounted}
                        onTick={(isCounted) => build.count(piece.key, piece.found, isCounted)}
                        pieces={piece.found}
                        piecesName={words.found(`${piece.name}, ${lotOf(piece)}`)}
                        onPieces={(typed) => build.count(piece.key, typed)}
                        problem={found === null ? words.countIsWhole : undefined}
                    >
                        <What row={piece} more={words.wasIn(pocketName(kit.leaves, piece.pocket_id))} />
                        <Typography variant="body2" sx={{ fontWeight: apart === 0 ? 400 : 700 }}>
                            {words.ofRecorded(piece.found, piece.quantity)}
                            {apart < 0 && `, ${words.notFound(String(-apart))}`}
                            {apart > 0 && `, ${words.moreThanRecorded(String(apart))}`}
                        </Typography>
                    </TickCard>
                );
            })}
        </>
    );
}

/** One pocket: what is done first, what goes back into it, and what comes from the store. */
export function PackPocket({ build, pocket }: Omit<StepProps, 'kit'> & { pocket: string }) {
    const { draft } = build;
    const puts = draft.puts.filter((put) => put.pocket === pocket);
    const tasks = tasksIn(draft, pocket);
    if (puts.length === 0) {
        return <Empty>{words.nothingHere}</Empty>;
    }
    return (
        <>
            {tasks.length > 0 && (
                <Box component="fieldset" sx={{ border: 1, borderColor: 'divider', borderRadius: '6px', mb: 2, px: 2 }}>
                    <Box component="legend" sx={{ px: 1, fontWeight: 600 }}>
                        {words.prepare}
                    </Box>
                    {tasks.map(({ key, task, name }) => (
                        <Box key={key}>
                            <Tick
                                label={words.prepareOf(task, name)}
                                checked={draft.tasks[key] ?? false}
                                onTick={(isDone) => build.tick(key, isDone)}
                            />
                        </Box>
                    ))}
                </Box>
            )}
            {puts.map((put) => {
                const piece = draft.pieces.find((one) => one.key === put.of);
                const name = (piece ? words.putBackOf : words.fromStoreOf)(put.name, lotOf(put));
                const isTooMany = piece !== undefined && put.isDone && leftOver(draft, piece) < 0;
                return (
                    <TickCard
                        key={put.key}
                        name={name}
                        isDone={put.isDone}
                        onTick={(isDone) => build.put(put.key, { isDone })}
                        pieces={put.quantity}
                        piecesName={words.piecesOf(name)}
                        onPieces={(quantity) => build.put(put.key, { quantity })}
                        problem={
                            wholeOf(put.quantity) === null
                                ? words.countIsWhole
                                : isTooMany
                                  ? words.onlyFound(wholeOf(piece.found) ?? 0, put.name)
                                  : undefined
                        }
                    >
                        <What row={put} word={piece ? words.putBack : words.fromStore} />
                    </TickCard>
                );
            })}
        </>
    );
}

/** What came out and did not go back. */
export function LeftOver({ kit, build }: StepProps) {
    const { draft } = build;
    const left = draft.pieces.filter((piece) => leftOver(draft, piece) > 0);
    if (left.length === 0) {
        return <Empty>{words.nothingLeft}</Empty>;
    }
    return (
        <>
            <Typography sx={{ color: 'text.secondary', mb: 2 }}>{words.leftOverAbout}</Typography>
            {left.map((piece) => (
                <Box
                    key={piece.key}
                    sx={{
                        display: 'grid',
                        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) 220px' },
                        gap: 2,
                        py: 2,
                        borderTop: 1,
                        borderColor: 'divider',
                        alignItems: 'center',
                    }}
                >
                    <Box>
                        <Typography sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                            <Sign of={piece.item_class} size={24} />
                            <strong>{words.left(leftOver(draft, piece), piece.name)}</strong>
                        </Typography>
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                            {lotOf(piece)}, {sayGoodUntil(piece.good_until, null)};{' '}
                            {piece.because && goesBack(draft, piece) < piece.quantity
                                ? (why[piece.because] ?? piece.because)
                                : words.wasIn(pocketName(kit.leaves, piece.pocket_id))}
                        </Typography>
                    </Box>
                    <Choose
                        label={words.whereTo(piece.name)}
                        value={restTo(draft, piece)}
                        onChoose={(to) =>
                            build.set((now) => ({ rest: { ...now.rest, [piece.key]: to as 'store' | 'discard' } }))
                        }
                        options={[
                            ['store', words.toStore(draft.storeName)],
                            ['discard', words.discard],
                        ]}
                    />
                </Box>
            ))}
        </>
    );
}
