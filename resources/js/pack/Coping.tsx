import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { Choose, Row } from '../ui/Fields';
import { Notice } from '../ui/Notice';
import { Sheet } from '../ui/Page';
import { Table } from '../ui/Table';
import { count, sayScope } from '../ui/words';
import { words } from './words';

type Coped = Schemas['CopedResource'];

/** So many that it makes no difference how many more. */
const MOST = 999;

interface CopingProps {
    coping: Schemas['CopingResource'];
    together: string;
    onTogether: (codes: string) => void;
}

/** Kind by kind: for how many casualties there are supplies, and what stands in the way of one more. */
export function Coping({ coping, together, onTogether }: CopingProps) {
    const hasPlan = coping.emergencies.some((one) => one.planned !== null);
    return (
        <>
            <Notice>
                <strong>{words.suppliesForSoMany}</strong> {words.countsSupplies}
            </Notice>
            {coping.unconfirmed > 0 && (
                <Notice>
                    {words.unconfirmedKinds(coping.unconfirmed, coping.kinds)}{' '}
                    <Link to="/emergencies" style={{ color: 'inherit' }}>
                        {words.whatIsCountedWith}
                    </Link>
                </Notice>
            )}
            {coping.unserved > 0 && <Notice>{words.unservedLines(count(coping.unserved, 'line'))}</Notice>}
            <Sheet title={words.eachByItself}>
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">{words.emergency}</th>
                            <th scope="col">{hasPlan ? words.suppliesNow : words.suppliesFor}</th>
                            {hasPlan && (
                                <th scope="col" className="wide">
                                    {words.asPlanned}
                                </th>
                            )}
                            <th scope="col">{words.runsShortFirst}</th>
                        </tr>
                    </thead>
                    <tbody>
                        {coping.emergencies.filter(isShown).map((one) => (
                            <tr key={one.code}>
                                <th scope="row">
                                    {one.title}
                                    {one.helpers > 1 && (
                                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                            {words.helpersEach(one.helpers)}
                                        </Typography>
                                    )}
                                    {!one.confirmed && coping.unconfirmed < coping.kinds && (
                                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                            {words.unconfirmed}
                                        </Typography>
                                    )}
                                </th>
                                <td>
                                    <Casualties of={one} />
                                </td>
                                {hasPlan && (
                                    <td className="wide">
                                        {one.because ? (
                                            words.outsideScope
                                        ) : (
                                            <Count of={one} casualties={one.planned ?? 0} />
                                        )}
                                    </td>
                                )}
                                <td>{one.limited_by.map((need) => need.title).join(', ')}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
                {coping.emergencies.some((one) => !isShown(one)) && (
                    <Box component="details" sx={{ mt: 3 }}>
                        <Box component="summary" sx={{ cursor: 'pointer', minHeight: 32 }}>
                            {words.notMadeFor(coping.emergencies.filter((one) => !isShown(one)).length)}
                        </Box>
                        {coping.emergencies
                            .filter((one) => !isShown(one))
                            .map((one) => one.title)
                            .join(', ')}
                    </Box>
                )}
            </Sheet>
            <Both coping={coping} together={together} onTogether={onTogether} />
        </>
    );
}

function Casualties({ of }: { of: Coped }) {
    if (of.shifts.length > 0) {
        return (
            <>
                {of.shifts.map((shift) => (
                    <div key={shift.shift}>
                        {words.inShift(shift.shift)}{' '}
                        {shift.because ? (
                            <strong>{words.outsideScope}</strong>
                        ) : (
                            <Count of={of} casualties={shift.casualties} />
                        )}
                    </div>
                ))}
                {of.because && <Typography variant="body2">{words.asksForScope(sayScope(of.scope))}</Typography>}
            </>
        );
    }
    return of.because ? (
        <>
            <strong>{words.outsideScope}</strong>
            <Typography variant="body2">{words.asksForScope(sayScope(of.scope))}</Typography>
        </>
    ) : (
        <Count of={of} casualties={of.casualties} />
    );
}

/** Emergencies that the kit is not made for fold away. */
const isShown = (one: Coped): boolean => one.is_made_for;

/** A number of casualties; grey and "at most" until a lead confirmed what each takes. */
function Count({ of, casualties }: { of: Coped; casualties: number }) {
    return of.confirmed || casualties === 0 ? (
        <strong>{sayCasualties(casualties)}</strong>
    ) : (
        <Box component="span" sx={{ color: 'text.secondary' }}>
            {words.atMost(sayCasualties(casualties))}
        </Box>
    );
}

function sayCasualties(casualties: number): string {
    if (casualties === 0) {
        return words.forNobody;
    }
    return casualties >= MOST
        ? words.orMore(count(casualties, 'casualty', 'casualties'))
        : count(casualties, 'casualty', 'casualties');
}

/** Two kinds at once, as one emergency with the needs of both. */
function Both({ coping, together, onTogether }: CopingProps) {
    const [asked = '', other = ''] = together.split(',');
    const [first, setFirst] = useState(asked);
    const kinds = coping.emergencies.map(({ code, title }) => [code, title] as const);
    const choose = (one: string, another: string) => {
        setFirst(one);
        onTogether(one !== '' && another !== '' && one !== another ? `${one},${another}` : '');
    };
    const [second, setSecond] = useState(other);
    const { together: both } = coping;
    return (
        <Sheet title={words.twoAtOnce}>
            <Typography sx={{ color: 'text.secondary', mb: 3 }}>{words.twoAtOnceAbout}</Typography>
            <Row columns="minmax(0, 1fr) minmax(0, 1fr)">
                <Choose
                    label={words.oneKind}
                    value={first}
                    onChoose={(one) => choose(one, second)}
                    options={kinds}
                    empty=""
                />
                <Choose
                    label={words.otherKind}
                    value={second}
                    onChoose={(one) => {
                        setSecond(one);
                        choose(first, one);
                    }}
                    options={kinds.filter(([code]) => code !== first)}
                    empty=""
                />
            </Row>
            <Box role="status" sx={{ mt: 3 }}>
                {both && together !== '' && (
                    <>
                        {both.title}: <Casualties of={both} />
                        {both.limited_by.length > 0 && (
                            <div>{words.shortFirst(both.limited_by.map((need) => need.title).join(', '))}</div>
                        )}
                    </>
                )}
            </Box>
        </Sheet>
    );
}
