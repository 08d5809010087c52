import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Page, Waiting } from '../ui/Page';
import { Printed } from '../ui/Printed';
import { count, sayDay, sayList, sayMoney, sayName } from '../ui/words';
import { words } from './words';

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
        <Page title={words.plan2(site.title)}>
            <Printed>
                <h2>
                    {session?.organisation}
                    {words.firstAidKits}
                    {site.title}
                </h2>
                <p>
                    {site.signed_on
                        ? words.signedByOnChosenProvision(
                              site.signed ?? '',
                              sayDay(site.signed_on),
                              site.chosen === 'full' ? 'full' : 'minimum',
                              sayDay(site.review_on ?? ''),
                          )
                        : words.aDraftNotSigned}{' '}
                    {words.calculatedBy2}
                    {site.scheme === 'headcount' ? words.headcountAndHazard : words.classOfKit}.
                </p>
                <p>
                    <strong>{words.aStartingPointNotLaw}</strong>
                </p>
                {unconfirmed.length > 0 && (
                    <p>
                        <strong>{words.unconfirmedLists}</strong> {unconfirmed.join('; ')}
                        {words.nobodyHereHasYetCompared}
                    </p>
                )}
                <h3>{words.wholeSite}</h3>
                <table>
                    <thead>
                        <tr>
                            <th>{words.what}</th>
                            <th className="n">{words.minimum}</th>
                            <th className="n">{words.full}</th>
                            <th className="n">{words.each2}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {site.totals.map((row) => (
                            <tr key={row.wanted}>
                                <td>{row.title}</td>
                                <td className="n">{row.least}</td>
                                <td className="n">{row.full}</td>
                                <td className="n">
                                    {row.each === null ? words.noList : sayMoney(row.each, site.currency)}
                                </td>
                            </tr>
                        ))}
                        <tr>
                            <td>
                                <strong>{words.toBuyItAllNew}</strong>
                            </td>
                            <td className="n">{sayMoney(site.cost_least, site.currency)}</td>
                            <td className="n">{sayMoney(site.cost_full, site.currency)}</td>
                            <td className="n">{site.unpriced > 0 && words.itemsWithoutAPrice(site.unpriced)}</td>
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
        words.atTheBusiestTime(area.people, area.people === 1 ? 'person' : 'people'),
        words.hazard2(area.hazard),
        count(area.points, 'point'),
        ...(area.lone_workers > 0 ? [count(area.lone_workers, 'lone worker')] : []),
        ...(area.vehicles > 0 ? [count(area.vehicles, 'vehicle')] : []),
        ...(area.children > 0 ? [area.children === 1 ? words.of1Child : words.children2(area.children)] : []),
        words.minutesUntilAnAmbulanceIs(area.minutes_to_help),
        area.running_water ? words.runningWater2 : words.noRunningWater2,
    ];
    return (
        <section>
            <h2>{area.name}</h2>
            <p>
                {answers.join(', ')}
                {words.risks2}
                {risks.join(', ') || words.noneNamed}. {area.note}
            </p>
            {(['least', 'full'] as const).map((plan) => (
                <div key={plan}>
                    <h3>
                        {plan === 'least' ? words.minimumProvision : words.fullProvision}
                        {site.chosen === plan && words.chosen}
                    </h3>
                    <table>
                        <tbody>
                            {area[plan].parts.map((part) => (
                                <tr key={part.wanted}>
                                    <td className="n">{part.count} ×</td>
                                    <td>
                                        <strong>{part.title}</strong>
                                        {part.list && words.edition(sayList(part.list), part.list.edition)}
                                        <br />
                                        {part.because}
                                        {words.keptAt}
                                        {part.where}.
                                        {part.override && (
                                            <>
                                                <br />
                                                <strong>
                                                    {words.justification}
                                                    {part.count}
                                                    {words.insteadOf}
                                                    {part.calculated}:
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
                    {words.firstAiders2}{' '}
                    {area.cover
                        .map((row) =>
                            words.of(
                                row.place.name,
                                row.shift,
                                row.there,
                                row.needed,
                                row.there < row.needed ? ' (too few)' : '',
                            ),
                        )
                        .join('; ')}
                    .
                </p>
            )}
        </section>
    );
}
