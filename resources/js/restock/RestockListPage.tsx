import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { questions } from '../api/queries';
import { KitLine } from '../pack/KitLine';
import { useSession } from '../session/useSession';
import { ExportSheet, Pager, ShowOnly } from '../ui/Listing';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { useListing } from '../ui/useListing';
import { count } from '../ui/words';
import { OpenRounds } from './OpenRounds';
import { TwoColumns } from '../ui/TwoColumns';
import { words } from './words';

/** Kits that want something, and the stores. */
export default function RestockListPage() {
    const listing = useListing(['q']);
    const asked = { ...listing.asked, work: 'restock' };
    const { data, error } = useQuery({ ...questions.kits(asked, listing.page), placeholderData: keepPreviousData });
    const { data: stores } = useQuery(questions.stores());
    const { may } = useSession();
    if (!data || !stores) {
        return <Waiting error={error} />;
    }
    const things = count(data.page.in_all, 'kit');
    return (
        <Page
            title={words.restock}
            beside={
                <>
                    {may('restock') && data.kits.length > 0 && (
                        <Button component={Link} to="/pick-list">
                            {words.pickList}
                        </Button>
                    )}
                    <Button component={Link} to="/dates-ahead">
                        {words.datesAhead}
                    </Button>
                    <Button component={Link} to="/to-buy">
                        {words.toBuy}
                    </Button>
                    {may('export') && <ExportSheet listing={{ ...listing, asked }} path="/kits" />}
                    <ShowOnly listing={listing} />
                </>
            }
        >
            <OpenRounds />
            <TwoColumns widths="1.4fr 1fr">
                <Sheet title={words.toRestock(things)}>
                    {data.kits.length === 0 && (
                        <Empty>{listing.isAll ? words.noKitNeedsRestockingWhat : words.noKitMatches}</Empty>
                    )}
                    {data.kits.map((kit) => (
                        <KitLine key={kit.code} kit={kit} job="restock" isPlaced />
                    ))}
                    <Pager page={data.page} listing={listing} things={things} />
                </Sheet>
                <Sheet title={words.stores}>
                    {stores.length === 0 && <Empty>{words.thereIsNoStore}</Empty>}
                    {stores.length > 0 && (
                        <Table>
                            <thead>
                                <tr>
                                    <th scope="col">{words.store}</th>
                                    <th scope="col" className="n">
                                        {words.items}
                                    </th>
                                    <th scope="col" className="n">
                                        {words.pieces}
                                    </th>
                                </tr>
                            </thead>
                            <tbody>
                                {stores.map((store) => (
                                    <tr key={store.id}>
                                        <td>
                                            <Box
                                                component={Link}
                                                to={`/stores/${store.id}`}
                                                sx={{ color: 'primary.main', fontWeight: 600 }}
                                            >
                                                {store.name}
                                            </Box>
                                            <div>{store.place}</div>
                                        </td>
                                        <td className="n">{store.items}</td>
                                        <td className="n">{store.pieces}</td>
                                    </tr>
                                ))}
                            </tbody>
                        </Table>
                    )}
                </Sheet>
            </TwoColumns>
        </Page>
    );
}
