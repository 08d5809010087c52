import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Sheet } from '../ui/Page';
import { Table } from '../ui/Table';
import { sayChance, words } from './words';

interface BasisProps {
    data: Schemas['CarryResource'];
    /** Calculates again with another confidence of each item. */
    onAsk: (to: { each: string }) => void;
}

/** What the figures rest on: rates of the setting, own records, and the chance that everything is enough at once. */
export function Basis({ data, onAsk }: BasisProps) {
    const rated = data.rows.filter((row) => row.rate !== null);
    return (
        <Sheet title={words.basisTitle}>
            <Typography>{data.about}</Typography>
            <Typography>{words.coveredHelp(data.days_on_record, data.covered)}</Typography>
            <Typography>{words.weight(data.weight.toLocaleString('en-GB'))}</Typography>
            {data.together !== null && data.chance < data.together && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'center', mt: 2 }}>
                    <Typography>
                        {data.common === null
                            ? words.noCommon(sayChance(data.together))
                            : words.commonIs(sayChance(data.common), sayChance(data.together))}
                    </Typography>
                    {data.common !== null && (
                        <Button onClick={() => onAsk({ each: data.common ?? '' })}>{words.useIt}</Button>
                    )}
                </Box>
            )}
            <Table>
                <thead>
                    <tr>
                        <th scope="col">{words.item}</th>
                        <th scope="col" className="n wide">
                            {words.settingRate}
                        </th>
                        <th scope="col" className="n">
                            {words.ownUses}
                        </th>
                        <th scope="col" className="n wide">
                            {words.ownShare}
                        </th>
                        <th scope="col" className="n">
                            {words.rate}
                        </th>
                        <th scope="col" className="n wide">
                            {words.expected}
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {rated.map((row) => (
                        <tr key={row.line}>
                            <td>{row.name ?? row.need}</td>
                            <td className="n wide">{row.setting_rate}</td>
                            <td className="n">
                                {row.uses_known}
                                {row.own_least !== null && row.own_most !== null && (
                                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                        {words.between(row.own_least, row.own_most)}
                                    </Typography>
                                )}
                            </td>
                            <td className="n wide">{row.own_share} %</td>
                            <td className="n">{row.rate}</td>
                            <td className="n wide">{row.mean}</td>
                        </tr>
                    ))}
                </tbody>
            </Table>
            {rated.length < data.rows.length && (
                <Typography variant="body2" sx={{ color: 'text.secondary', mt: 3 }}>
                    {words.countedOnlyAbout}
                </Typography>
            )}
        </Sheet>
    );
}
