import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Empty, Sheet } from '../ui/Page';
import { Table } from '../ui/Table';
import { sayMoney } from '../ui/words';

/** What both plans come to over all areas. */
export function Totals({ site }: { site: Schemas['AssessmentResource'] }) {
    return (
        <Sheet title="Whole site">
            {site.totals.length === 0 && <Empty>No area needs anything yet.</Empty>}
            {site.totals.length > 0 && (
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">What</th>
                            <th scope="col" className="n">
                                Minimum
                            </th>
                            <th scope="col" className="n">
                                Full
                            </th>
                            <th scope="col" className="n wide">
                                Each
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
                                    {row.each === null ? 'no list' : sayMoney(row.each, site.currency)}
                                </td>
                            </tr>
                        ))}
                    </tbody>
                    <tfoot>
                        <Box component="tr" sx={{ fontWeight: 700 }}>
                            <td>To buy it all new</td>
                            <td className="n">{sayMoney(site.cost_least, site.currency)}</td>
                            <td className="n">{sayMoney(site.cost_full, site.currency)}</td>
                            <td className="n wide" />
                        </Box>
                    </tfoot>
                </Table>
            )}
            <Typography variant="caption" sx={{ color: 'text.secondary', display: 'block', mt: 2 }}>
                At the price per piece of the cheapest pack on record; whole packs may come to more
                {site.unpriced > 0 && `, and ${site.unpriced} items have no price (*)`}. Existing kits are not deducted
                here; Carry out the plan does that.
            </Typography>
        </Sheet>
    );
}
