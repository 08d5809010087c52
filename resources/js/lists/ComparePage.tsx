import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { designQuestions } from '../api/designQuestions';
import { questions } from '../api/queries';
import { Row } from '../ui/Fields';
import { Caution, Empty, Page, Sheet, Trouble } from '../ui/Page';
import { Search, type Choice } from '../ui/Search';
import { Table } from '../ui/Table';
import { useSettled } from '../ui/useSettled';
import { listOptions, sayList, sayMoney } from '../ui/words';
import { ListWarning } from './ListWarning';
import { words } from './words';

const outcomes = { met: words.met, stand_in: words.metByAStandIn, short: words.short };

const because = {
    extra: words.onNoLineOfThe,
    excluded: words.excludedByTheList,
    beyond_scope: words.outsideTheScopeOfPractice,
    unusable: words.expiredOrNotInGood,
};

/** Any kit or design beside any list and edition, and what it would take to meet it. */
export default function ComparePage() {
    const [search, setSearch] = useSearchParams();
    const list = search.get('list') ?? '';
    const subject = search.get('subject') ?? '';
    const { data: lists = [] } = useQuery(questions.listChoices());
    const { data: designs = [] } = useQuery(designQuestions.designs());
    const { data: held, error } = useQuery(questions.comparison(list, subject));
    const choose = (to: Record<string, string>) => setSearch({ list, subject, ...to }, { replace: true });
    return (
        <Page title={words.compareWithAList}>
            <Sheet title={words.chooseAKitAndA}>
                <Row columns="minmax(0, 1fr) minmax(0, 1fr)">
                    <SearchSubject
                        value={subject}
                        onChoose={(value) => choose({ subject: value })}
                        designs={designs.map((design) => [`design:${design.code}`, words.design(design.name)] as const)}
                    />
                    <Search
                        label={words.listAndEdition}
                        value={list}
                        onChoose={(value) => choose({ list: value })}
                        options={listOptions(lists)}
                        helperText={words.nothingIsChangedByThis}
                    />
                </Row>
            </Sheet>
            {error && <Trouble error={error} />}
            {!held && !error && <Empty>{words.chooseAKitAndAList}</Empty>}
            {held && <Held held={held} />}
        </Page>
    );
}

function Held({ held }: { held: Schemas['ComparisonResource'] }) {
    return (
        <>
            <Sheet title={words.besideEdition(held.subject_title, sayList(held.list), held.list.edition)}>
                <Typography sx={{ mb: 3, fontWeight: 700 }}>{held.sentence}</Typography>
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">{words.requirement}</th>
                            <th scope="col">{words.contents}</th>
                            <th scope="col">{words.result}</th>
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
                            {words.itemsOnNoLine}
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
                                                    ? words.excluded
                                                    : row.because === 'extra'
                                                      ? words.extra
                                                      : words.doesNotCount}
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
            <Sheet title={words.whatIsNeeded}>
                <Empty>{words.nothingEveryLineIsMet}</Empty>
            </Sheet>
        );
    }
    return (
        <Sheet title={words.whatIsNeeded}>
            <Table>
                <thead>
                    <tr>
                        <th scope="col" className="n">
                            {words.pieces}
                        </th>
                        <th scope="col">{words.item}</th>
                        <th scope="col" className="n wide">
                            {words.mass}
                        </th>
                        <th scope="col" className="n">
                            {words.costWholePacks}
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
                            {words.inAll}
                            {held.add_mass_g}
                            {words.gMore}
                            {held.mass_then_g}
                            {words.gThen}
                        </td>
                        <td className="n wide">{held.add_mass_g} g</td>
                        <td className="n">
                            {sayMoney(held.add_cost, held.currency)}
                            {held.unpriced > 0 && (
                                <div>
                                    and {held.unpriced}
                                    {words.withoutAPrice}
                                </div>
                            )}
                        </td>
                    </Box>
                </tfoot>
            </Table>
        </Sheet>
    );
}

interface SearchSubjectProps {
    value: string;
    onChoose: (value: string) => void;
    designs: Choice[];
}

/** A kit, looked for by the server, or a design. */
function SearchSubject({ value, onChoose, designs }: SearchSubjectProps) {
    const [typed, setTyped] = useState('');
    const q = useSettled(typed);
    const { data, isFetching } = useQuery({
        ...questions.kits({ sort: 'code', ...(q && { q }) }, 1),
        placeholderData: keepPreviousData,
    });
    const code = value.startsWith('kit:') ? value.slice(4) : '';
    const { data: kit } = useQuery({ ...questions.kit(code), enabled: code !== '' });
    const kits = new Map([...(data?.kits ?? []), ...(kit ? [kit] : [])].map((one) => [one.code, one.name]));
    const matching = designs.filter(([, word]) => word.toLowerCase().includes(q.toLowerCase()));
    const chosen = designs.filter(([one]) => one === value && !matching.some(([other]) => other === one));
    return (
        <Search
            label={words.kitOrDesign}
            value={value}
            onChoose={onChoose}
            options={[
                ...[...kits].map(([one, name]) => [`kit:${one}`, `${one} ${name}`] as const),
                ...matching,
                ...chosen,
            ]}
            onType={setTyped}
            isReading={isFetching}
            helperText={words.aDesignIsComparedAs}
        />
    );
}
