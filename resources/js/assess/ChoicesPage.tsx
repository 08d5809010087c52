import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose } from '../ui/Fields';
import { Deference } from '../ui/Notice';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { sayList, sayMoney } from '../ui/words';

/** Which list each kit and module of a plan keeps, of which design a new one is made, and what one costs. */
export default function ChoicesPage() {
    const client = useQueryClient();
    const { may } = useSession();
    const { data: choices, error } = useQuery(questions.choices());
    const { data: lists = [] } = useQuery(questions.lists());
    const { data: designs = [] } = useQuery(questions.designs());
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
        { what: 'kit', title: 'Kits' },
        { what: 'module', title: 'Modules, one for each risk' },
    ] as const;
    const pick = (choice: Schemas['ChoiceResource'], list: string, design: string | null) =>
        list !== '' && choose.mutate({ wanted: choice.wanted, list, design });
    return (
        <Page title="Lists of the plan">
            <Typography sx={{ mb: 4, maxWidth: 760 }}>
                A plan says how many kits of which size, and which modules. Here you choose the list for each, and the
                design for a new one.
            </Typography>
            {choose.error && <Trouble error={choose.error} />}
            {groups.map(({ what, title }) => (
                <Sheet key={what} title={title}>
                    <Table>
                        <thead>
                            <tr>
                                <th scope="col">For</th>
                                <th scope="col">List</th>
                                <th scope="col" className="wide">
                                    Design of a new one
                                </th>
                                <th scope="col" className="n">
                                    One costs
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
                                                    label={`List: ${choice.title}`}
                                                    sx={{ mt: 2 }}
                                                    value={choice.list?.id ?? ''}
                                                    empty="Choose one"
                                                    onChoose={(list) => pick(choice, list, null)}
                                                    options={lists
                                                        .filter((list) => list.kind === what && list.latest)
                                                        .concat(lists.filter((list) => list.id === choice.list?.id))
                                                        .filter((list, at, all) => all.indexOf(list) === at)
                                                        .map(
                                                            (list) =>
                                                                [list.id, `${sayList(list)}, ${list.edition}`] as const,
                                                        )}
                                                />
                                            ) : (
                                                (choice.list?.title ?? 'none chosen')
                                            )}
                                            {choice.list && !choice.list.confirmed && (
                                                <Typography variant="caption">unconfirmed</Typography>
                                            )}
                                        </td>
                                        <td className="wide">
                                            {may('plan') && choice.list ? (
                                                <Choose
                                                    label={`Design: ${choice.title}`}
                                                    sx={{ mt: 2 }}
                                                    value={choice.design_id ?? ''}
                                                    empty="made from the list when it is needed"
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
                                                ? 'no list'
                                                : sayMoney(choice.each, organisation.currency)}
                                            {choice.unpriced > 0 && <div>{choice.unpriced} without a price</div>}
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
