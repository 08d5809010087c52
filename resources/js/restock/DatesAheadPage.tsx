import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Pager } from '../ui/Listing';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { TwoColumns } from '../ui/TwoColumns';
import { useListing } from '../ui/useListing';
import { count, sayDay, sayMoney, sayPrinted } from '../ui/words';
import { words } from './words';

type Ahead = Schemas['DatesAhead'];

/** Figures beside a button that is taller than they are. */
const middle = { verticalAlign: 'middle' } as const;

/** What expires in the next thirteen months, where it is, and what it costs to replace. */
export default function DatesAheadPage() {
    const listing = useListing(['month']);
    const { data, error } = useQuery({
        ...questions.datesAhead(listing.get('month'), listing.page),
        placeholderData: keepPreviousData,
    });
    const { may } = useSession();
    if (!data) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={words.datesAhead}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.datesAheadAbout}</Typography>}
            beside={
                <>
                    <Button component={Link} to="/rotation">
                        {words.rotate}
                    </Button>
                    <Button onClick={() => window.print()}>{words.print}</Button>
                    {may('export') && (
                        <Button component="a" href="/api/dates-ahead?format=csv" download>
                            {words.exportSheet}
                        </Button>
                    )}
                </>
            }
        >
            <TwoColumns widths="1fr 1.5fr">
                <Sheet>
                    <Months ahead={data} onMonth={(month) => listing.set({ month })} />
                </Sheet>
                <Sheet title={words.expiresIn(sayPrinted(data.month))}>
                    {data.rows.length === 0 ? <Empty>{words.nothingExpires}</Empty> : <Rows ahead={data} />}
                    <Pager page={data.page} listing={listing} things={count(data.page.in_all, 'row')} />
                </Sheet>
            </TwoColumns>
        </Page>
    );
}

function Months({ ahead, onMonth }: { ahead: Ahead; onMonth: (month: string) => void }) {
    return (
        <Table>
            <thead>
                <tr>
                    <th scope="col">{words.monthHead}</th>
                    <th scope="col" className="n">
                        {words.inKitsHead}
                    </th>
                    <th scope="col" className="n wide">
                        {words.inStoresHead}
                    </th>
                    <th scope="col" className="n">
                        {words.toReplaceHead}
                    </th>
                </tr>
            </thead>
            <tbody>
                {ahead.months.map((one) => (
                    <tr key={one.month}>
                        <th scope="row" style={{ fontWeight: 400, padding: 0 }}>
                            <Button
                                variant="text"
                                size="small"
                                aria-current={one.month === ahead.month ? 'true' : undefined}
                                onClick={() => onMonth(one.month)}
                                sx={{
                                    minHeight: 44,
                                    minWidth: 0,
                                    p: 0,
                                    fontWeight: one.month === ahead.month ? 700 : 400,
                                }}
                            >
                                {sayPrinted(one.month)}
                            </Button>
                        </th>
                        <td className="n" style={middle}>
                            {one.in_kits}
                        </td>
                        <td className="n wide" style={middle}>
                            {one.in_stores}
                        </td>
                        <td className="n" style={middle}>
                            {one.in_kits > 0 && sayMoney(one.cost, ahead.currency)}
                            {one.without_price > 0 && (
                                <div>{words.withoutPriceIn(count(one.without_price, 'item'))}</div>
                            )}
                        </td>
                    </tr>
                ))}
            </tbody>
        </Table>
    );
}

function Rows({ ahead }: { ahead: Ahead }) {
    const link = { color: 'inherit' };
    return (
        <Table>
            <thead>
                <tr>
                    <th scope="col">{words.expiresHead}</th>
                    <th scope="col">{words.item}</th>
                    <th scope="col" className="n">
                        {words.piecesHead}
                    </th>
                    <th scope="col">{words.whereHead}</th>
                    <th scope="col" className="n wide">
                        {words.cost}
                    </th>
                </tr>
            </thead>
            <tbody>
                {ahead.rows.map((row, at) => (
                    <tr key={at}>
                        <td>{sayDay(row.good_until)}</td>
                        <td>
                            <Link to={`/items/${row.item}`} style={link}>
                                {row.name}
                            </Link>
                            {row.lot && <div>{words.lot(row.lot)}</div>}
                        </td>
                        <td className="n">{row.pieces}</td>
                        <td>
                            <Link
                                to={row.kit === null ? `/stores/${row.store ?? ''}` : `/kits/${row.kit}`}
                                style={link}
                            >
                                {row.kit === null ? row.where : `${row.kit} ${row.where}`}
                            </Link>
                            <div>{row.place}</div>
                        </td>
                        <td className="n wide">
                            {row.cost === null ? words.noPrice : sayMoney(row.cost, ahead.currency)}
                        </td>
                    </tr>
                ))}
            </tbody>
        </Table>
    );
}
