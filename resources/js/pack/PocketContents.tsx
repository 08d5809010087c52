import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { Stitch } from '../ui/OpenKit';
import { livesIn, shareIn } from '../ui/livesIn';
import { Caution, Empty, Sheet } from '../ui/Page';
import { Sign } from '../ui/Sign';
import { propertyWords, sayCondition, sayDay, sayElsewhere, sayGoodUntil } from '../ui/words';
import { pocketName } from './VerdictSheet';
import { words } from './words';

/** What is in one pocket, line by line, with lots and dates. */
export function PocketContents({ kit, pocket }: { kit: Schemas['KitResource']; pocket: string }) {
    const lines = kit.verdict.lines.filter((line) => livesIn(line, pocket));
    const rest = kit.contents.filter((row) => row.pocket_id === pocket && row.line === null);
    return (
        <Sheet title={pocketName(kit.leaves, pocket)}>
            <PocketFacts kit={kit} pocket={pocket} />
            {lines.length === 0 && rest.length === 0 && <Empty>{words.noLineIsPlannedFor}</Empty>}
            {lines.map((line) => (
                <Box key={line.code} sx={{ py: 2, borderTop: 1, borderColor: 'divider' }}>
                    <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', justifyContent: 'space-between' }}>
                        <Box sx={{ minWidth: 0, display: 'flex', gap: 1, alignItems: 'center' }}>
                            <Sign of={line.item_class ?? ''} size={24} />
                            <Typography component="span" sx={{ fontWeight: 700 }}>
                                {line.item ? (
                                    <Link to={`/items/${line.item}`} style={{ color: 'inherit' }}>
                                        {line.item_name}
                                    </Link>
                                ) : (
                                    line.need
                                )}
                            </Typography>
                            {line.rank !== 'required' && (
                                <Box
                                    component="span"
                                    sx={{ ml: 2, fontSize: 13, fontWeight: line.rank === 'critical' ? 700 : 400 }}
                                >
                                    {line.rank}
                                </Box>
                            )}
                        </Box>
                        <Box
                            component="span"
                            sx={{ display: 'inline-flex', gap: 2, alignItems: 'center', whiteSpace: 'nowrap' }}
                        >
                            <Stitch state={line.state} />
                            <strong>
                                {line.effective} of {line.required}
                                {shareIn(line, pocket) !== null && words.ofThemHere(shareIn(line, pocket) ?? 0)}
                            </strong>
                        </Box>
                    </Box>
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {line.purpose ?? line.need}
                        {line.reason && `. ${line.reason}`}
                    </Typography>
                    <Caution text={line.caution} />
                    {line.told_from !== null && <Typography variant="body2">{line.told_from}</Typography>}
                    {line.elsewhere > 0 && <Typography variant="body2">{sayElsewhere(line.elsewhere)}</Typography>}
                    <Rows
                        rows={kit.contents.filter((row) => row.pocket_id === pocket && row.line === line.code)}
                        named={line.item_name}
                    />
                </Box>
            ))}
            {rest.length > 0 && (
                <Box sx={{ pt: 2, borderTop: 1, borderColor: 'divider' }}>
                    <Typography variant="h3">{words.alsoHereNotOnA}</Typography>
                    <Rows rows={rest} named={null} />
                </Box>
            )}
        </Sheet>
    );
}

/** What is said of the pocket itself: its caution, what it is, what people look for here, and what is planned for later. */
function PocketFacts({ kit, pocket }: { kit: Schemas['KitResource']; pocket: string }) {
    const one = kit.leaves.flatMap((leaf) => leaf.pockets).find(({ id }) => id === pocket);
    const planned = kit.planned.filter((line) => line.pocket_id === pocket);
    if (!one) {
        return null;
    }
    return (
        <>
            <Caution text={one.caution} />
            {one.properties.length > 0 && (
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {one.properties.map((property) => propertyWords[property] ?? property).join(', ')}
                </Typography>
            )}
            {one.looked_for.map((line) => (
                <Typography
                    key={line.need}
                    variant="body2"
                    sx={{ borderLeft: 3, borderColor: 'ochre', pl: 1.5, my: 1 }}
                >
                    {words.livesElsewhere(line.need, line.lives)}
                </Typography>
            ))}
            {planned.map((line) => (
                <Typography key={line.code} variant="body2" sx={{ my: 1 }}>
                    <strong>{words.notYetCovered(line.need)}</strong>{' '}
                    {line.from !== null ? words.askedForFrom(sayDay(line.from)) : words.waitsFor(line.waits_for ?? '')}
                </Typography>
            ))}
        </>
    );
}

function Rows({ rows, named }: { rows: Schemas['ContentResource'][]; named: string | null }) {
    return (
        <Box component="ul" sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}>
            {rows.map((row) => (
                <Box
                    component="li"
                    key={`${row.item} ${row.lot_id ?? ''} ${row.condition} ${row.opened_on ?? ''}`}
                    sx={{ display: 'flex', flexWrap: 'wrap', gap: '0 12px', fontSize: 14 }}
                >
                    <strong>{row.quantity} ×</strong>
                    {row.name !== named && <span>{row.name}</span>}
                    <span>{row.lot === null ? words.noLot : words.lot2(row.lot)}</span>
                    <span>{sayGoodUntil(row.good_until, row.dated)}</span>
                    {row.condition !== 'good' && <strong>{sayCondition(row)}</strong>}
                    {row.name !== named && <Caution text={row.caution} />}
                </Box>
            ))}
        </Box>
    );
}
