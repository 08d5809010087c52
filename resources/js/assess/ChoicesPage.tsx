import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../api/client';
import { designQuestions } from '../api/designQuestions';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose } from '../ui/Fields';
import { Deference } from '../ui/Notice';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { listOptions, sayMoney } from '../ui/words';
import { words } from './words';

/** Which list each kit and module of a plan keeps, of which design a new one is made, and what one costs. */
export default function ChoicesPage() {
    const client = useQueryClient();
    const { may } = useSession();
    const { data: choices, error } = useQuery(questions.choices());
    const { data: lists = [] } = useQuery(questions.listChoices());
    const { data: designs = [] } = useQuery(designQuestions.designs());
    const { data: organisation } = useQuery(questions.organisation());
    const choose = useMutation({
        mutationFn: ({ wanted, list, design }: { wanted: string; list: string; design: string | null }) =>
            ask(
                api.PUT('/choices/{wanted}', {
                    params: { path: { wanted } },
                    body: { list_id: list, design_id: design },
                }),
            ),
        onSuccess: async (now) => {
            client.setQueryData(['choices'], now);
            await client.invalidateQueries({ queryKey: ['assessment'] });
        },
    });
    if (!choices || !organisation) {
        return <Waiting error={error} />;
    }
    const groups = [
        { what: 'kit', title: words.kits },
        { what: 'module', title: words.modulesOneForEachRisk },
    ] as const;
    const pick = (choice: Schemas['ChoiceResource'], list: string, design: string | null) =>
        list !== '' && choose.mutate({ wanted: choice.wanted, list, design });
    return (
        <Page title={words.listsOfThePlan}>
            <Typography sx={{ mb: 4, maxWidth: 760 }}>{words.aPlanSaysHowMany}</Typography>
            {choose.error && <Trouble error={choose.error} />}
            {groups.map(({ what, title }) => (
                <Sheet key={what} title={title}>
                    <Table>
                        <thead>
                            <tr>
                                <th scope="col">{words.forWord}</th>
                                <th scope="col">{words.list2}</th>
                                <th scope="col" className="wide">
                                    {words.designOfANewOne}
                                </th>
                                <th scope="col" className="n">
                                    {words.oneCosts}
                                </th>
                            </tr>
                        </thead>
                        <tbody>
                            {choices
                                .filter((choice) => choice.what === what)
                                .map((choice) => (
                                    <tr key={choice.wanted}>
                                        <td>{choice.title}</td>
                                        <td>
                                            {may('plan') ? (
                                                <Choose
                                                    label={words.list3(choice.title)}
                                                    sx={{ mt: 2 }}
                                                    value={choice.list?.id ?? ''}
                                                    empty={words.chooseOne}
                                                    onChoose={(list) => pick(choice, list, null)}
                                                    options={listOptions(
                                                        lists.filter(
                                                            (list) =>
                                                                (list.kind === what && list.latest) ||
                                                                list.id === choice.list?.id,
                                                        ),
                                                    )}
                                                />
                                            ) : (
                                                (choice.list?.title ?? words.noneChosen)
                                            )}
                                            {choice.list && !choice.list.confirmed && (
                                                <Typography variant="caption">unconfirmed</Typography>
                                            )}
                                        </td>
                                        <td className="wide">
                                            {may('plan') && choice.list ? (
                                                <Choose
                                                    label={words.design(choice.title)}
                                                    sx={{ mt: 2 }}
                                                    value={choice.design_id ?? ''}
                                                    empty={words.madeFromTheListWhen}
                                                    onChoose={(design) =>
                                                        pick(choice, choice.list?.id ?? '', design || null)
                                                    }
                                                    options={designs
                                                        .filter((design) => design.list.code === choice.list?.code)
                                                        .map((design) => [design.id, design.name] as const)}
                                                />
                                            ) : (
                                                choice.design
                                            )}
                                        </td>
                                        <td className="n">
                                            {choice.each === null
                                                ? words.noList
                                                : sayMoney(choice.each, organisation.currency)}
                                            {choice.unpriced > 0 && (
                                                <div>
                                                    {choice.unpriced}
                                                    {words.withoutAPrice}
                                                </div>
                                            )}
                                        </td>
                                    </tr>
                                ))}
                        </tbody>
                    </Table>
                </Sheet>
            ))}
            <Deference />
        </Page>
    );
}
