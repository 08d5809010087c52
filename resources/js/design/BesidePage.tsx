import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { designQuestions } from '../api/designQuestions';
import { Row } from '../ui/Fields';
import { Empty, Page, Sheet, Trouble } from '../ui/Page';
import { Search } from '../ui/Search';
import { Sign } from '../ui/Sign';
import { Table } from '../ui/Table';
import { sayMoney } from '../ui/words';
import { words } from './words';

const figure = (value: number) => value.toLocaleString('en-GB');

/** Two designs, editions or configurations side by side. */
export default function BesidePage() {
    const [search, setSearch] = useSearchParams();
    const one = search.get('one') ?? '';
    const other = search.get('other') ?? '';
    const { data: choices } = useQuery(designQuestions.editionChoices());
    const { data, error } = useQuery(designQuestions.beside(one, other));
    const options = (choices ?? []).flatMap((edition) => {
        const name = `${edition.design}, ${words.edition(edition.number)}`;
        return [
            [edition.id, name] as const,
            ...edition.configurations.map((of) => [`${edition.id}:${of}`, `${name}, ${of}`] as const),
        ];
    });
    const choose = (to: Record<string, string>) => setSearch({ one, other, ...to }, { replace: true });
    return (
        <Page
            title={words.beside}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.besideAbout}</Typography>}
            beside={
                <Button component={Link} to="/designs">
                    {words.designs}
                </Button>
            }
        >
            <Sheet>
                <Row columns="repeat(2, minmax(0, 1fr))">
                    <Search
                        label={words.oneSide}
                        value={one}
                        options={options}
                        onChoose={(value) => choose({ one: value })}
                    />
                    <Search
                        label={words.otherSide}
                        value={other}
                        options={options}
                        onChoose={(value) => choose({ other: value })}
                    />
                </Row>
                {(one === '' || other === '') && <Empty>{words.chooseTwo}</Empty>}
                {error !== null && <Trouble error={error} />}
                {data && <Beside data={data} />}
            </Sheet>
        </Page>
    );
}

function Beside({ data }: { data: Schemas['BesideResource'] }) {
    const facts = ({ list, mass_g, max_mass_g, bulk_ml, cost, lines, pockets }: Schemas['BesideSide']) => [
        list,
        max_mass_g === null ? words.grams(figure(mass_g)) : words.ofGrams(figure(mass_g), figure(max_mass_g)),
        `${figure(bulk_ml)} ml`,
        sayMoney(cost, data.currency),
        figure(lines),
        figure(pockets),
    ];
    const [left, right] = [facts(data.one), facts(data.other)];
    return (
        <Table>
            <thead>
                <tr>
                    <th scope="col">{words.item}</th>
                    <th scope="col">{data.one.title}</th>
                    <th scope="col">{data.other.title}</th>
                </tr>
            </thead>
            <tbody>
                {[words.listWord, words.mass, words.volumeWord, words.cost, words.linesWord, words.pocketsWord].map(
                    (title, at) => (
                        <tr key={title}>
                            <th scope="row">{title}</th>
                            <td>{left[at]}</td>
                            <td>{right[at]}</td>
                        </tr>
                    ),
                )}
                {data.rows.map((row) => (
                    <tr key={row.item}>
                        <th scope="row" style={{ fontWeight: row.one === row.other ? 400 : 700 }}>
                            <Box component="span" sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                                <Sign of={row.class} />
                                {row.name}
                            </Box>
                            <Typography component="span" variant="caption" sx={{ color: 'text.secondary' }}>
                                {row.one !== row.other
                                    ? words.differs
                                    : row.one_in !== row.other_in
                                      ? words.onlyPocket
                                      : words.sameInBoth}
                            </Typography>
                        </th>
                        <td>{row.one === 0 ? words.noneIn : `${row.one} · ${row.one_in}`}</td>
                        <td>{row.other === 0 ? words.noneIn : `${row.other} · ${row.other_in}`}</td>
                    </tr>
                ))}
            </tbody>
        </Table>
    );
}
