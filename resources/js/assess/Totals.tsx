import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Empty, Sheet } from '../ui/Page';
import { Table } from '../ui/Table';
import { sayMoney } from '../ui/words';
import { words } from './words';

/** What both plans come to over all areas. */
export function Totals({ site }: { site: Schemas['AssessmentResource'] }) {
    return (
        <Sheet title={words.wholeSite}>
            {site.totals.length === 0 && <Empty>{words.noAreaNeedsAnythingYet}</Empty>}
            {site.totals.length > 0 && (
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">{words.what}</th>
                            <th scope="col" className="n">
                                {words.minimum}
                            </th>
                            <th scope="col" className="n">
                                {words.full}
                            </th>
                            <th scope="col" className="n wide">
                                {words.each2}
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {site.totals.map((row) => (
                            <tr key={row.wanted}>
                                <td>{row.title}</td>
                                <td className="n">{row.least}</td>
                                <td className="n">{row.full}</td>
                                <td className="n wide">
                                    {row.each === null ? words.noList : sayMoney(row.each, site.currency)}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                    <tfoot>
                        <Box component="tr" sx={{ fontWeight: 700 }}>
                            <td>{words.toBuyItAllNew2}</td>
                            <td className="n">{sayMoney(site.cost_least, site.currency)}</td>
                            <td className="n">{sayMoney(site.cost_full, site.currency)}</td>
                            <td className="n wide" />
                        </Box>
                    </tfoot>
                </Table>
            )}
            <Typography variant="caption" sx={{ color: 'text.secondary', display: 'block', mt: 2 }}>
                {words.atThePricePerPiece}
                {site.unpriced > 0 && words.andItemsHaveNoPrice(site.unpriced)}
                {words.existingKitsAreNotDeducted}
            </Typography>
        </Sheet>
    );
}
