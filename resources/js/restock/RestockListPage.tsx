import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { KitLine } from '../pack/PlacesPage';
import { useSession } from '../session/useSession';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { count, sayGoodUntil } from '../ui/words';
import { words } from './words';

/** Kits that want something, and what the store has. */
export default function RestockListPage() {
    const { data: places, error } = useQuery(questions.places());
    const { data: stores } = useQuery(questions.stores());
    const { may } = useSession();
    if (!places || !stores) {
        return <Waiting error={error} />;
    }
    const kits = places.flatMap((place) => place.kits).filter((kit) => kit.wants_restock);
    return (
        <Page title={words.restock}>
            <Box
                sx={{
                    display: 'grid',
                    gap: 4,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1fr)' },
                    alignItems: 'start',
                }}
            >
                <Sheet title={words.toRestock(count(kits.length, 'kit'))}>
                    {kits.length === 0 && <Empty>{words.noKitNeedsRestockingWhat}</Empty>}
                    {kits.map((kit) => (
                        <Box key={kit.code}>
                            <KitLine kit={kit} />
                            {may('restock') && (
                                <Button
                                    component={Link}
                                    to={`/kits/${kit.code}/restock`}
                                    aria-label={words.restock2(kit.code)}
                                    sx={{ mb: 2 }}
                                >
                                    {words.restock}
                                </Button>
                            )}
                        </Box>
                    ))}
                </Sheet>
                {stores.map((store) => (
                    <StoreSheet key={store.id} store={store} />
                ))}
            </Box>
        </Page>
    );
}

function StoreSheet({ store }: { store: Schemas['StoreResource'] }) {
    const items = [...new Map(store.rows.map((row) => [row.item, row.name])).entries()];
    return (
        <Sheet title={`${store.name}: ${count(items.length, 'item')}`}>
            <Table>
                <thead>
                    <tr>
                        <th scope="col">{words.item}</th>
                        <th scope="col">{words.lots}</th>
                        <th scope="col" className="n">
                            {words.pieces}
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {items.map(([code, name]) => {
                        const rows = store.rows.filter((row) => row.item === code);
                        return (
                            <tr key={code}>
                                <td>
                                    <Box component={Link} to={`/items/${code}`} sx={{ color: 'primary.main' }}>
                                        {name}
                                    </Box>
                                </td>
                                <td>
                                    {rows.map((row) => (
                                        <div key={`${row.lot ?? ''} ${row.expires ?? ''} ${row.condition}`}>
                                            {row.quantity} × {row.lot ?? words.noLot},{' '}
                                            {sayGoodUntil(row.good_until, false)}
                                            {row.condition !== 'good' && `, ${row.condition}`}
                                        </div>
                                    ))}
                                </td>
                                <td className="n">{rows.reduce((sum, row) => sum + row.quantity, 0)}</td>
                            </tr>
                        );
                    })}
                </tbody>
            </Table>
        </Sheet>
    );
}
