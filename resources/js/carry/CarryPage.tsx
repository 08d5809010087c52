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
import { Row, Write } from '../ui/Fields';
import { Deference, Notice } from '../ui/Notice';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Search } from '../ui/Search';
import { Table } from '../ui/Table';
import { count, listOptions } from '../ui/words';
import { AddToDesign } from './AddToDesign';
import { MakeList } from './MakeList';
import { words } from './words';

const first = { people: '12', days: '7', each: '0.95', together: '0.9', covered: '', list: '' };

type Asked = typeof first;

/** How many of each item to carry, with what each figure rests on, and the chance that all of it is enough at once. */
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
                // What is emptied stays empty: only what nobody changed is left out.
                Object.entries({ ...asked, ...to }).filter(([key, value]) => value !== first[key as keyof Asked]),
            ),
        );
    return (
        <Page title={words.title} above={<Typography sx={{ color: 'text.secondary' }}>{words.about}</Typography>}>
            <Form key={search.toString()} asked={asked} data={data} problem={problem} onAsk={ask} />
            <Deference />
            {data && data.about !== '' && <Notice>{data.about}</Notice>}
            {data && <Outcome data={data} onAsk={ask} />}
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
                <Row columns="repeat(3, minmax(0, 1fr))">
                    {field('people', words.people)}
                    {field('days', words.days)}
                    {field('covered', words.covered, data && words.coveredHelp(data.days_on_record, data.covered))}
                </Row>
                <Row columns="repeat(3, minmax(0, 1fr))">
                    {field('each', words.each, words.chanceHelp)}
                    {field('together', words.together, words.chanceHelp)}
                    <Search
                        label={words.ofList}
                        value={typed.list}
                        placeholder={words.allUsed}
                        onChoose={(list) => setTyped({ ...typed, list })}
                        options={listOptions(lists)}
                    />
                </Row>
                <Button type="submit" variant="contained">
                    {words.calculate}
                </Button>
            </Box>
        </Sheet>
    );
}

function Outcome({ data, onAsk }: { data: Schemas['CarryResource']; onAsk: (to: Partial<Asked>) => void }) {
    const { may } = useSession();
    if (data.rows.length === 0) {
        return <Empty>{words.nothing}</Empty>;
    }
    return (
        <>
            <Sheet>
                <Typography variant="h2">{words.allTogether(data.chance)}</Typography>
                {data.together !== null && data.chance < data.together && (
                    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'center', mt: 2 }}>
                        <Typography>
                            {data.common === null
                                ? words.noCommon(data.together)
                                : words.commonIs(data.common, data.together)}
                        </Typography>
                        {data.common !== null && (
                            <Button onClick={() => onAsk({ each: data.common ?? '' })}>{words.useIt}</Button>
                        )}
                    </Box>
                )}
            </Sheet>
            <Sheet
                beside={
                    may('plan') && (
                        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
                            <MakeList data={data} />
                            <AddToDesign data={data} />
                        </Box>
                    )
                }
            >
                <Rows data={data} />
                {data.without.length > 0 && (
                    <Typography variant="body2" sx={{ color: 'text.secondary', mt: 3 }}>
                        {words.without(data.without.join(', '))}
                    </Typography>
                )}
            </Sheet>
        </>
    );
}

function restsOn(row: Schemas['CarriedItem']): string {
    if (row.source === 'own') {
        return `${words.own(row.uses_known)}, ${words.between(row.rate_least ?? '', row.rate_most ?? '')}`;
    }
    return `${words.starting}, ${row.uses_known === 0 ? words.noneKnown : words.cannotTell(row.uses_known)}`;
}

function Rows({ data }: { data: Schemas['CarryResource'] }) {
    return (
        <Table>
            <thead>
                <tr>
                    <th scope="col">{words.item}</th>
                    <th scope="col" className="n">
                        {words.rate}
                    </th>
                    <th scope="col" className="n wide">
                        {words.expected}
                    </th>
                    <th scope="col" className="n wide">
                        {words.enoughFor}
                    </th>
                    <th scope="col" className="n">
                        {words.carry}
                    </th>
                    <th scope="col" className="n wide">
                        {words.chanceHead}
                    </th>
                </tr>
            </thead>
            <tbody>
                {data.rows.map((row) => (
                    <tr key={row.item}>
                        <td>
                            {row.name}
                            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                {restsOn(row)}
                            </Typography>
                            {row.par === 0 && <Typography variant="body2">▲ {words.notNeeded}</Typography>}
                        </td>
                        <td className="n">{row.rate}</td>
                        <td className="n wide">{row.mean}</td>
                        <td className="n wide">{row.uses}</td>
                        <td className="n">
                            <strong>{count(row.par, 'piece')}</strong>
                        </td>
                        <td className="n wide">{row.chance}</td>
                    </tr>
                ))}
            </tbody>
        </Table>
    );
}
