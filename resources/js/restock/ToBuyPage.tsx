import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Notice } from '../ui/Notice';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { count, sayMoney } from '../ui/words';
import { words } from './words';

/** What kits are missing and no store has, over all kits: to print, to export, to order from. */
export default function ToBuyPage() {
    const { data, error } = useQuery(questions.toBuy());
    const { may } = useSession();
    if (!data) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={words.toBuyTitle}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.toBuyAbout}</Typography>}
            beside={
                <>
                    <Button onClick={() => window.print()}>{words.print}</Button>
                    {may('export') && (
                        <Button component="a" href="/api/to-buy?format=csv" download>
                            {words.exportSheet}
                        </Button>
                    )}
                </>
            }
        >
            {data.being_judged > 0 && <Notice>{words.beingJudged(count(data.being_judged, 'kit'))}</Notice>}
            <Sheet title={count(data.rows.length, 'item')}>
                {data.rows.length === 0 ? (
                    <Empty>{words.nothingToBuy}</Empty>
                ) : (
                    <Table>
                        <thead>
                            <tr>
                                <th scope="col">{words.item}</th>
                                <th scope="col" className="n">
                                    {words.toBuy}
                                </th>
                                <th scope="col" className="n wide">
                                    {words.missingIn}
                                </th>
                                <th scope="col" className="n wide">
                                    {words.inStores}
                                </th>
                                <th scope="col" className="n">
                                    {words.cost}
                                </th>
                                <th scope="col">{words.kitsHead}</th>
                            </tr>
                        </thead>
                        <tbody>
                            {data.rows.map((row) => (
                                <tr key={`${row.item ?? ''} ${row.what}`}>
                                    <td>
                                        {row.item === null ? (
                                            row.what
                                        ) : (
                                            <Box
                                                component={Link}
                                                to={`/items/${row.item}`}
                                                sx={{ color: 'primary.main', fontWeight: 600 }}
                                            >
                                                {row.what}
                                            </Box>
                                        )}
                                        {row.is_critical && <strong> {words.critical}</strong>}
                                    </td>
                                    <td className="n">
                                        <strong>{row.pieces}</strong>
                                    </td>
                                    <td className="n wide">{row.missing}</td>
                                    <td className="n wide">{row.in_stores}</td>
                                    <td className="n">
                                        {row.cost === null ? words.noPrice : sayMoney(row.cost, data.currency)}
                                    </td>
                                    <td>
                                        {row.kits.map((kit, at) => (
                                            <span key={kit}>
                                                {at > 0 && ', '}
                                                <Link to={`/kits/${kit}`} style={{ color: 'inherit' }}>
                                                    {kit}
                                                </Link>
                                            </span>
                                        ))}
                                        {row.for_stores > 0 && <div>{words.forStores(row.for_stores)}</div>}
                                        {row.kits_in_all > row.kits.length &&
                                            words.andMoreKits(row.kits_in_all - row.kits.length)}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </Table>
                )}
                {data.rows.length > 0 && (
                    <Typography sx={{ mt: 3 }}>
                        {[
                            data.cost === null ? '' : words.costsAtLeast(sayMoney(data.cost, data.currency)),
                            data.without_price === 0 ? '' : words.withoutPrice(count(data.without_price, 'item')),
                        ]
                            .filter(Boolean)
                            .join('; ')}
                    </Typography>
                )}
            </Sheet>
        </Page>
    );
}
