import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Page, Waiting } from '../ui/Page';
import { Printed } from '../ui/Printed';
import { count, sayDay, sayList, sayMoney, sayName } from '../ui/words';

/** The plan with its reasons, to hand to whoever asks about the money. */
export default function PrintPage() {
    const { id = '' } = useParams();
    const { data: site, error } = useQuery(questions.assessment(id));
    const { session } = useSession();
    if (!site) {
        return <Waiting error={error} />;
    }
    const unconfirmed = [
        ...new Set(
            site.areas
                .flatMap((area) => [...area.least.parts, ...area.full.parts])
                .flatMap((part) => (part.list && !part.list.confirmed ? [sayList(part.list)] : [])),
        ),
    ];
    return (
        <Page title={`Plan: ${site.title}`}>
            <Printed>
                <h2>
                    {session?.organisation}: first aid kits, {site.title}
                </h2>
                <p>
                    {site.signed_on
                        ? `Signed by ${site.signed ?? ''} on ${sayDay(site.signed_on)}. Chosen: ${site.chosen === 'full' ? 'full' : 'minimum'} provision. Review due by ${sayDay(site.review_on ?? '')}, or when an area changes.`
                        : 'A draft: not signed.'}{' '}
                    Calculated by {site.scheme === 'headcount' ? 'headcount and hazard' : 'class of kit'}.
                </p>
                <p>
                    <strong>
                        A starting point, not law. Many workplaces start from these figures; the regulator and the risk
                        assessment decide how many kits a place needs and what they hold.
                    </strong>
                </p>
                {unconfirmed.length > 0 && (
                    <p>
                        <strong>Unconfirmed lists:</strong> {unconfirmed.join('; ')}. Nobody here has yet compared them
                        line by line with their own copy.
                    </p>
                )}
                <h3>Whole site</h3>
                <table>
                    <thead>
                        <tr>
                            <th>What</th>
                            <th className="n">Minimum</th>
                            <th className="n">Full</th>
                            <th className="n">Each</th>
                        </tr>
                    </thead>
                    <tbody>
                        {site.totals.map((row) => (
                            <tr key={row.wanted}>
                                <td>{row.title}</td>
                                <td className="n">{row.least}</td>
                                <td className="n">{row.full}</td>
                                <td className="n">
                                    {row.each === null ? 'no list' : sayMoney(row.each, site.currency)}
                                </td>
                            </tr>
                        ))}
                        <tr>
                            <td>
                                <strong>To buy it all new, by the piece</strong>
                            </td>
                            <td className="n">{sayMoney(site.cost_least, site.currency)}</td>
                            <td className="n">{sayMoney(site.cost_full, site.currency)}</td>
                            <td className="n">{site.unpriced > 0 && `${site.unpriced} items without a price`}</td>
                        </tr>
                    </tbody>
                </table>
                {site.areas.map((area) => (
                    <PrintedArea key={area.id} area={area} site={site} />
                ))}
            </Printed>
        </Page>
    );
}

function PrintedArea({ area, site }: { area: Schemas['AreaResource']; site: Schemas['AssessmentResource'] }) {
    const risks = [...area.risks, ...area.follows_risks].map(sayName);
    const answers = [
        `${area.people} ${area.people === 1 ? 'person' : 'people'} at the busiest time`,
        `${area.hazard} hazard`,
        count(area.points, 'point'),
        ...(area.lone_workers > 0 ? [count(area.lone_workers, 'lone worker')] : []),
        ...(area.vehicles > 0 ? [count(area.vehicles, 'vehicle')] : []),
        ...(area.children > 0 ? [area.children === 1 ? '1 child' : `${area.children} children`] : []),
        `${area.minutes_to_help} minutes until an ambulance is there`,
        area.running_water ? 'running water' : 'no running water',
    ];
    return (
        <section>
            <h2>{area.name}</h2>
            <p>
                {answers.join(', ')}. Risks: {risks.join(', ') || 'none named'}. {area.note}
            </p>
            {(['least', 'full'] as const).map((plan) => (
                <div key={plan}>
                    <h3>
                        {plan === 'least' ? 'Minimum provision' : 'Full provision'}
                        {site.chosen === plan && ', chosen'}
                    </h3>
                    <table>
                        <tbody>
                            {area[plan].parts.map((part) => (
                                <tr key={part.wanted}>
                                    <td className="n">{part.count} ×</td>
                                    <td>
                                        <strong>{part.title}</strong>
                                        {part.list && ` (${sayList(part.list)}, edition ${part.list.edition})`}
                                        <br />
                                        {part.because} Kept at: {part.where}.
                                        {part.override && (
                                            <>
                                                <br />
                                                <strong>
                                                    Justification, {part.count} instead of {part.calculated}:
                                                </strong>{' '}
                                                {part.override.reason} {part.override.by}, {sayDay(part.override.on)}.
                                            </>
                                        )}
                                    </td>
                                    <td className="n">
                                        {part.each === null ? '' : sayMoney(part.each * part.count, site.currency)}
                                    </td>
                                </tr>
                            ))}
                        </tbody>
                    </table>
                </div>
            ))}
            {area.cover.length > 0 && (
                <p>
                    First aiders:{' '}
                    {area.cover
                        .map(
                            (row) =>
                                `${row.place.name}, ${row.shift}: ${row.there} of ${row.needed}${row.there < row.needed ? ' (too few)' : ''}`,
                        )
                        .join('; ')}
                    .
                </p>
            )}
        </section>
    );
}
