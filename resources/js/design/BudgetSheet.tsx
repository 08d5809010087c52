import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Sheet } from '../ui/Page';
import { Table } from '../ui/Table';
import { count, sayMoney } from '../ui/words';
import { LeaveOut } from './LeaveOut';
import { partsOf, pathOf, type Draft } from './packing';
import { exceeds } from '../ui/limits';
import { words } from './words';

interface BudgetSheetProps {
    design: string | null;
    draft: Draft;
    foresight: Schemas['ForesightResource'];
}

const figure = (value: number) => value.toLocaleString('en-GB');

/** "340 of 900 ml, too full" */
function sayVolume(load: Schemas['ForeseenLoad']): string {
    return load.volume_ml === null
        ? `${figure(load.bulk_ml)} ml`
        : words.ofMillilitres(figure(load.bulk_ml), figure(load.volume_ml)) +
              (exceeds(load.bulk_ml, load.volume_ml) ? `, ${words.tooFull}` : '');
}

function sayMass(load: Schemas['ForeseenLoad']): string {
    return load.max_mass_g === null
        ? words.grams(figure(load.mass_g))
        : words.ofGrams(figure(load.mass_g), figure(load.max_mass_g)) +
              (exceeds(load.mass_g, load.max_mass_g) ? `, ${words.tooHeavy}` : '');
}

function sayCost(load: Schemas['ForeseenLoad'], currency: string): string {
    const cost = sayMoney(load.cost, currency);
    return load.max_cost === null
        ? cost
        : `${cost} of ${sayMoney(load.max_cost, currency)}${exceeds(load.cost, load.max_cost) ? `, ${words.tooDear}` : ''}`;
}

/** What the kit, its parts and its pockets carry against their limits, and what may be left out. */
export function BudgetSheet({ design, draft, foresight }: BudgetSheetProps) {
    const [whole] = foresight.loads;
    const parts = new Set(partsOf(draft).map((part) => part.id));
    return (
        <Sheet title={words.budget}>
            <Table>
                <thead>
                    <tr>
                        <th scope="col">{words.where}</th>
                        <th scope="col">{words.mass}</th>
                        <th scope="col">{words.volumeWord}</th>
                        <th scope="col">{words.cost}</th>
                        <th scope="col" className="wide">
                            {words.reachWord}
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {foresight.loads.map((load) => (
                        <tr key={load.compartment ?? ''}>
                            <th
                                scope="row"
                                style={{
                                    fontWeight: load.compartment === null || parts.has(load.compartment) ? 700 : 400,
                                }}
                            >
                                {load.compartment === null ? words.whole : pathOf(draft, load.compartment)}
                            </th>
                            <td>{sayMass(load)}</td>
                            <td>{sayVolume(load)}</td>
                            <td>{sayCost(load, foresight.currency)}</td>
                            <td className="wide">{load.compartment === null ? '' : words.reach(load.reach)}</td>
                        </tr>
                    ))}
                </tbody>
            </Table>
            {whole && (whole.without_bulk > 0 || whole.without_price > 0) && (
                <Typography variant="body2" sx={{ color: 'text.secondary', mt: 1 }}>
                    {[
                        whole.without_bulk > 0 ? words.withoutBulk(count(whole.without_bulk, 'item')) : '',
                        whole.without_price > 0 ? words.withoutPrice(count(whole.without_price, 'item')) : '',
                    ]
                        .filter(Boolean)
                        .join('; ')}
                </Typography>
            )}
            {draft.policy.empty_mass_g === null && <Typography variant="body2">{words.bagUnknown}</Typography>}
            {exceeds(draft.policy.empty_mass_g ?? 0, draft.policy.max_mass_g) && (
                <Typography role="alert" sx={{ fontWeight: 700 }}>
                    {words.bagTooHeavy(
                        words.grams(figure(draft.policy.empty_mass_g ?? 0)),
                        words.grams(figure(draft.policy.max_mass_g ?? 0)),
                    )}
                </Typography>
            )}
            <LeaveOut design={design} offers={foresight.leave_out} currency={foresight.currency} />
        </Sheet>
    );
}
