import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose } from '../ui/Fields';
import { ExportSheet, Pager, ShowOnly, SortHead } from '../ui/Listing';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { useListing } from '../ui/useListing';
import { count, sayGoodUntil, sayInstant } from '../ui/words';
import { Levels } from './Levels';
import { Loans } from './Loans';
import { isPast } from '../ui/limits';
import { words } from './words';

const conditions = [
    ['good', words.good],
    ['opened', words.opened],
    ['damaged', words.damaged],
    ['soiled', words.soiled],
    ['failed', words.failed],
    ['quarantined', words.quarantined],
    ['training', words.training],
] as const;

/** What lies in a store: each lot, until when it is good, and how many. */
export default function StorePage() {
    const { id = '' } = useParams();
    const listing = useListing(['q', 'condition', 'until']);
    const { data, error } = useQuery({
        ...questions.store(id, listing.asked, listing.page),
        placeholderData: keepPreviousData,
    });
    const { data: levels = [] } = useQuery(questions.storeLevels(id));
    const below = levels.filter((level) => level.there < level.least).length;
    const { may, today } = useSession();
    if (!data) {
        return <Waiting error={error} />;
    }
    const things = count(data.page.in_all, 'lot');
    return (
        <Page
            title={data.store.name}
            above={
                <span>
                    {data.store.place} · {count(data.store.pieces, 'piece')} of {count(data.store.items, 'item')}
                    {below > 0 && (
                        <>
                            {' · '}
                            <a href="#levels" style={{ color: 'inherit' }}>
                                ▲ {words.levelsBelow(below, levels.length)}
                            </a>
                        </>
                    )}
                </span>
            }
            beside={
                <>
                    {may('restock') &&
                        data.store.retired_on === null &&
                        (['receive', 'count', 'move', 'dispose'] as const).map((task) => (
                            <Button
                                key={task}
                                component={Link}
                                to={`/stores/${id}/${task}`}
                                variant={task === 'receive' ? 'contained' : 'outlined'}
                            >
                                {words.storeTasks[task]}
                            </Button>
                        ))}
                    {may('restock') && data.store.retired_on === null && <MoreTasks store={id} />}
                    {may('export') && <ExportSheet listing={listing} path={`/stores/${id}`} />}
                    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
                        <ShowOnly listing={listing} />
                        <Choose
                            label={words.condition}
                            value={listing.get('condition')}
                            empty={words.any}
                            onChoose={(condition) => listing.set({ condition })}
                            options={conditions}
                            sx={{ width: 170 }}
                        />
                        <Choose
                            label={words.expiry}
                            value={listing.get('until') === '' ? '' : 'expired'}
                            empty={words.any}
                            onChoose={(expired) => listing.set({ until: expired === '' ? '' : dayBefore(today) })}
                            options={[['expired', words.expired]]}
                            sx={{ width: 170 }}
                        />
                    </Box>
                </>
            }
        >
            <Sheet title={listing.isAll ? things : words.match(things)}>
                {data.rows.length === 0 ? (
                    <Empty>{data.store.pieces === 0 ? words.nothingLiesHere : words.noLotMatches}</Empty>
                ) : (
                    <Table>
                        <thead>
                            <tr>
                                <SortHead listing={listing} by="item" first>
                                    {words.item}
                                </SortHead>
                                <SortHead listing={listing} by="lot">
                                    {words.lotNumber}
                                </SortHead>
                                <SortHead listing={listing} by="expires">
                                    {words.expiry}
                                </SortHead>
                                <SortHead listing={listing} by="quantity" className="n">
                                    {words.pieces}
                                </SortHead>
                            </tr>
                        </thead>
                        <tbody>
                            {data.rows.map((row, at) => (
                                <tr key={`${row.item} ${row.lot ?? ''} ${row.expires ?? ''} ${row.condition} ${at}`}>
                                    <td>
                                        <Box
                                            component={Link}
                                            to={`/items/${row.item}`}
                                            sx={{ color: 'primary.main', fontWeight: 600 }}
                                        >
                                            {row.name}
                                        </Box>
                                        {row.condition !== 'good' && (
                                            <strong> ▲ {conditions.find(([one]) => one === row.condition)?.[1]}</strong>
                                        )}
                                    </td>
                                    <td>{row.lot ?? words.noLot}</td>
                                    <td>
                                        {isPast(row.good_until, today) && '▲ '}
                                        {sayGoodUntil(row.good_until, null)}
                                    </td>
                                    <td className="n">{row.quantity}</td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                )}
                <Pager page={data.page} listing={listing} things={things} />
            </Sheet>
            <Loans store={id} />
            <Box id="levels">
                <Levels store={id} />
            </Box>
            <StoreHistory id={id} />
        </Page>
    );
}

/** What is done less often: set apart, lent, repacked. */
function MoreTasks({ store }: { store: string }) {
    const [at, setAt] = useState<HTMLElement | null>(null);
    return (
        <>
            <Button aria-haspopup="menu" onClick={(event) => setAt(event.currentTarget)}>
                {words.moreTasks}
            </Button>
            <Menu open={at !== null} anchorEl={at} onClose={() => setAt(null)}>
                {(['set_apart', 'release', 'lend', 'borrow', 'repack'] as const).map((task) => (
                    <MenuItem key={task} component={Link} to={`/stores/${store}/${task}`} sx={{ minHeight: 44 }}>
                        {words.storeTasks[task]}
                    </MenuItem>
                ))}
            </Menu>
        </>
    );
}

/** What was done at the store, newest first. */
function StoreHistory({ id }: { id: string }) {
    const { data } = useQuery(questions.storeHistory(id));
    const { timeZone } = useSession();
    return (
        <Sheet title={words.storeHistory}>
            {data?.entries.length === 0 && <Empty>{words.nothingDoneYet}</Empty>}
            {data?.entries.map((entry) => (
                <Box key={entry.number} sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
                    <strong>{entry.title}</strong> · {sayInstant(entry.done_at, timeZone)}, {entry.by}
                    {entry.note !== null && `: ${entry.note}`}
                    {entry.movements.map((movement) => (
                        <Typography key={movement} variant="body2" sx={{ color: 'text.secondary' }}>
                            {movement}
                        </Typography>
                    ))}
                </Box>
            ))}
        </Sheet>
    );
}

/** What was good until then is expired today. */
function dayBefore(day: string): string {
    return new Date(Date.parse(`${day}T00:00:00Z`) - 86_400_000).toISOString().slice(0, 10);
}
