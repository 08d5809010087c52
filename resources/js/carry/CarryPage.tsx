import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { isProblem, type Schemas } from '../api/client';
import { dailyQuestions } from '../api/dailyQuestions';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose, Row, Write } from '../ui/Fields';
import { Deference } from '../ui/Notice';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Search } from '../ui/Search';
import { Table } from '../ui/Table';
import { count, listOptions } from '../ui/words';
import { AddToDesign } from './AddToDesign';
import { Basis } from './Basis';
import { MakeList } from './MakeList';
import { sayChance, words } from './words';

const first = { people: '12', days: '7', setting: 'trip', each: '0.95', together: '0.9', covered: '', list: '' };

type Asked = typeof first;

/** How many of each item to carry on a trip: the decision first, and what it rests on below. */
export default function CarryPage() {
    const [search, setSearch] = useSearchParams();
    const asked = Object.fromEntries(
        Object.entries(first).map(([key, value]) => [key, search.get(key) ?? value]),
    ) as Asked;
    const { data, error } = useQuery({
        ...dailyQuestions.carry(asked),
        placeholderData: keepPreviousData,
        retry: false,
    });
    const problem = isProblem(error) ? error : null;
    if (!data && problem?.status !== 422) {
        return <Waiting error={error} />;
    }
    const ask = (to: Partial<Asked>) =>
        setSearch(
            Object.fromEntries(
                // A field that was emptied stays empty: only values that nobody changed are left out.
                Object.entries({ ...asked, ...to }).filter(([key, value]) => value !== first[key as keyof Asked]),
            ),
        );
    return (
        <Page title={words.title} above={<Typography sx={{ color: 'text.secondary' }}>{words.about}</Typography>}>
            <Form key={search.toString()} asked={asked} data={data} problem={problem} onAsk={ask} />
            {data?.list === null && (
                <Sheet>
                    <Empty>{words.chooseAList}</Empty>
                </Sheet>
            )}
            {data && data.list !== null && (
                <>
                    <Decision data={data} />
                    <Basis data={data} onAsk={ask} />
                </>
            )}
            <Deference />
        </Page>
    );
}

interface FormProps {
    asked: Asked;
    data: Schemas['CarryResource'] | undefined;
    problem: { at: (field: string) => string | undefined } | null;
    onAsk: (to: Asked) => void;
}

function Form({ asked, data, problem, onAsk }: FormProps) {
    const [typed, setTyped] = useState(asked);
    const { data: lists = [] } = useQuery(questions.listChoices());
    const field = (key: keyof Asked, label: string, help?: string) => (
        <Write
            label={label}
            value={typed[key]}
            onWrite={(value) => setTyped({ ...typed, [key]: value.trim() })}
            problem={problem?.at(key)}
            help={help}
            slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 8 } }}
        />
    );
    return (
        <Sheet>
            <Box
                component="form"
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    onAsk(typed);
                }}
            >
                <Row columns="minmax(0, 2fr) repeat(3, minmax(0, 1fr))">
                    <Search
                        label={words.list}
                        value={typed.list}
                        placeholder={words.listPlaceholder}
                        onChoose={(list) => setTyped({ ...typed, list })}
                        options={listOptions(lists)}
                        helperText={words.listHelp}
                    />
                    {field('people', words.people)}
                    {field('days', words.days)}
                    <Choose
                        label={words.setting}
                        value={typed.setting}
                        onChoose={(setting) => setTyped({ ...typed, setting })}
                        options={words.settings}
                    />
                </Row>
                <Box component="details" sx={{ my: 2 }}>
                    <Box component="summary" sx={{ cursor: 'pointer', minHeight: 32 }}>
                        {words.moreQuestions}
                    </Box>
                    <Row columns="repeat(3, minmax(0, 1fr))">
                        {field('each', words.each, words.chanceHelp)}
                        {field('together', words.together, words.chanceHelp)}
                        {field('covered', words.covered, data && words.coveredHelp(data.days_on_record, data.covered))}
                    </Row>
                </Box>
                <Button type="submit" variant="contained">
                    {words.calculate}
                </Button>
            </Box>
        </Sheet>
    );
}

function Decision({ data }: { data: Schemas['CarryResource'] }) {
    const { may } = useSession();
    const pieces = data.rows.reduce((sum, row) => sum + (row.measure === null ? row.par : 0), 0);
    return (
        <Sheet
            title={words.carryInAll(count(data.rows.length, 'line'), count(pieces, 'piece'))}
            beside={
                may('plan') && (
                    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
                        <MakeList data={data} />
                        <AddToDesign data={data} />
                    </Box>
                )
            }
        >
            <Typography>{words.nothingRunsShort(sayChance(data.chance))}</Typography>
            {!data.is_scaled && <Typography sx={{ mt: 1 }}>{words.notScaled}</Typography>}
            <Table>
                <thead>
                    <tr>
                        <th scope="col">{words.line}</th>
                        <th scope="col" className="n">
                            {words.carry}
                        </th>
                        <th scope="col">{words.decides}</th>
                        <th scope="col" className="n wide">
                            {words.chanceHead}
                        </th>
                    </tr>
                </thead>
                <tbody>
                    {data.rows.map((row) => (
                        <tr key={row.line}>
                            <td>
                                {row.need}
                                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                    {row.name ?? words.noItem}
                                    {row.rank === 'critical' && `, ${words.critical}`}
                                </Typography>
                            </td>
                            <td className="n">
                                <strong>
                                    {row.measure ?? count(row.par, row.unit === 'each' ? 'piece' : row.unit)}
                                </strong>
                            </td>
                            <td>{decides(row, data.is_scaled)}</td>
                            <td className="n wide">
                                {row.chance === null ? words.countedOnly : sayChance(row.chance)}
                            </td>
                        </tr>
                    ))}
                </tbody>
            </Table>
        </Sheet>
    );
}

function decides(row: Schemas['CarriedItem'], isScaled: boolean): string {
    if (row.from === 'uses') {
        return words.fromUses(count(row.uses, 'use'), row.list);
    }
    return isScaled && row.list !== row.listed ? words.fromListScaled(row.listed) : words.fromList;
}
