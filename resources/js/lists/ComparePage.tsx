import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Row } from '../ui/Fields';
import { Caution, Empty, Page, Sheet, Trouble } from '../ui/Page';
import { Table } from '../ui/Table';
import { sayList, sayMoney } from '../ui/words';
import { ListWarning } from './ListWarning';

const outcomes = { met: '● met', stand_in: '◐ met by a stand-in', short: '○ short' };

const because = {
    extra: 'on no line of the list',
    excluded: 'excluded by the list',
    beyond_scope: 'outside the scope of practice of its users',
    unusable: 'expired, or not in good condition',
};

/** Any kit or design beside any list and edition, and what it would take to meet it. */
export default function ComparePage() {
    const [search, setSearch] = useSearchParams();
    const list = search.get('list') ?? '';
    const subject = search.get('subject') ?? '';
    const { data: lists = [] } = useQuery(questions.lists());
    const { data: places = [] } = useQuery(questions.places());
    const { data: designs = [] } = useQuery(questions.designs());
    const { data: held, error } = useQuery(questions.comparison(list, subject));
    const kits = places.flatMap((place) => place.kits);
    const choose = (to: Record<string, string>) => setSearch({ list, subject, ...to }, { replace: true });
    return (
        <Page title="Compare with a list">
            <Sheet title="Choose a kit and a list">
                <Row columns="minmax(0, 1fr) minmax(0, 1fr)">
                    <Choose
                        label="Kit or design"
                        value={subject}
                        empty="Choose one"
                        onChoose={(value) => choose({ subject: value })}
                        options={[
                            ...kits
                                .toSorted((one, other) => one.code.localeCompare(other.code))
                                .map((kit) => [`kit:${kit.code}`, `${kit.code} ${kit.name}`] as const),
                            ...designs.map((design) => [`design:${design.code}`, `Design: ${design.name}`] as const),
                        ]}
                        helperText="A design is compared as a new kit would be packed, each line with its first choice."
                    />
                    <Choose
                        label="List and edition"
                        value={list}
                        empty="Choose one"
                        onChoose={(value) => choose({ list: value })}
                        options={lists.map((one) => [one.id, `${sayList(one)}, edition ${one.edition}`] as const)}
                        helperText="Nothing is changed by this: it only shows."
                    />
                </Row>
            </Sheet>
            {error && <Trouble error={error} />}
            {!held && !error && <Empty>Choose a kit and a list to see them side by side.</Empty>}
            {held && <Held held={held} />}
        </Page>
    );
}

function Held({ held }: { held: Schemas['ComparisonResource'] }) {
    return (
        <>
            <Sheet title={`${held.subject_title} beside ${sayList(held.list)}, edition ${held.list.edition}`}>
                <Typography sx={{ mb: 3, fontWeight: 700 }}>{held.sentence}</Typography>
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">Requirement</th>
                            <th scope="col">Contents</th>
                            <th scope="col">Result</th>
                        </tr>
                    </thead>
                    <tbody>
                        {held.lines.map((line) => (
                            <tr key={line.code}>
                                <td>
                                    {line.required} × {line.need}
                                    {line.rank !== 'required' && <strong>, {line.rank}</strong>}
                                    <Box sx={{ color: 'text.secondary', display: { xs: 'none', md: 'block' } }}>
                                        {line.accepts.join('; ')}
                                    </Box>
                                </td>
                                <td>
                                    {line.placed.length === 0 && 'none'}
                                    {line.placed.map((text) => (
                                        <div key={text}>{text}</div>
                                    ))}
                                </td>
                                <td>
                                    <strong>{outcomes[line.outcome]}</strong>
                                    <div>
                                        {line.there} of {line.required}
                                    </div>
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
                {held.rest.length > 0 && (
                    <>
                        <Typography variant="h3" sx={{ mt: 4, mb: 1 }}>
                            Items on no line
                        </Typography>
                        <Table>
                            <tbody>
                                {held.rest.map((row, at) => (
                                    <tr key={at}>
                                        <td className="n">{row.quantity} ×</td>
                                        <td>
                                            {row.name}
                                            {row.pocket && <Box sx={{ color: 'text.secondary' }}>{row.pocket}</Box>}
                                        </td>
                                        <td>
                                            <strong>
                                                {row.because === 'excluded'
                                                    ? '⊘ excluded'
                                                    : row.because === 'extra'
                                                      ? '+ extra'
                                                      : '▲ does not count'}
                                            </strong>
                                            : {because[row.because]}
                                        </td>
                                    </tr>
                                ))}
                            </tbody>
                        </Table>
                    </>
                )}
                {held.findings.length > 0 && (
                    <Box component="ul" sx={{ mt: 3, mb: 0, pl: 5 }}>
                        {held.findings.map((text) => (
                            <li key={text}>{text}</li>
                        ))}
                    </Box>
                )}
            </Sheet>
            <WhatItTakes held={held} />
            <ListWarning list={held.list} />
        </>
    );
}

function WhatItTakes({ held }: { held: Schemas['ComparisonResource'] }) {
    if (held.add.length === 0) {
        return (
            <Sheet title="What is needed?">
                <Empty>Nothing: every line is met and in date until the next check.</Empty>
            </Sheet>
        );
    }
    return (
        <Sheet title="What is needed?">
            <Table>
                <thead>
                    <tr>
                        <th scope="col" className="n">
                            Pieces
                        </th>
                        <th scope="col">Item</th>
                        <th scope="col" className="n wide">
                            Mass
                        </th>
                        <th scope="col" className="n">
                            Cost, whole packs
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {held.add.map((row, at) => (
                        <tr key={at}>
                            <td className="n">{row.quantity} ×</td>
                            <td>
                                {row.item ? (
                                    <Link to={`/items/${row.item}`} style={{ color: 'inherit' }}>
                                        {row.name}
                                    </Link>
                                ) : (
                                    row.name
                                )}
                                <Box sx={{ color: 'text.secondary' }}>{row.need}</Box>
                                <Caution text={row.caution} />
                            </td>
                            <td className="n wide">{row.mass_g} g</td>
                            <td className="n">{row.cost === null ? row.packs : sayMoney(row.cost, held.currency)}</td>
                        </tr>
                    ))}
                </tbody>
                <tfoot>
                    <Box component="tr" sx={{ fontWeight: 700 }}>
                        <td />
                        <td>
                            In all: {held.add_mass_g} g more, {held.mass_then_g} g then
                        </td>
                        <td className="n wide">{held.add_mass_g} g</td>
                        <td className="n">
                            {sayMoney(held.add_cost, held.currency)}
                            {held.unpriced > 0 && <div>and {held.unpriced} without a price</div>}
                        </td>
                    </Box>
                </tfoot>
            </Table>
        </Sheet>
    );
}
