import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate, useParams } from 'react-router';
import { api, ask, isProblem } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { useKept } from '../ui/useKept';
import { sayScope } from '../ui/words';
import { freshItem, itemOf, itemToSend, type EditedItem } from './itemEditing';
import { ItemRows } from './ItemRows';

const scopes = (['anyone', 'first_aider', 'trained', 'clinician'] as const).map(
    (scope) => [scope, sayScope(scope)] as const,
);

/** A new item, or one of the catalogue changed. */
export default function ItemFormPage() {
    const { code } = useParams();
    const { data: item, error } = useQuery({ ...questions.item(code ?? ''), enabled: code !== undefined });
    if (code !== undefined && !item) {
        return <Waiting error={error} />;
    }
    return (
        <ItemForm
            key={item ? `${item.code} ${item.revision}` : 'new'}
            begin={item ? itemOf(item) : freshItem}
            base={item?.revision ?? null}
        />
    );
}

function ItemForm({ begin, base }: { begin: EditedItem; base: number | null }) {
    const client = useQueryClient();
    const navigate = useNavigate();
    const { data: classes = [] } = useQuery(questions.classes());
    const { data: items = [] } = useQuery(questions.items());
    const { typed, type, forget, isOld } = useKept<EditedItem>(`item.${begin.code}.${base ?? 'new'}`, begin);
    const keep = useMutation({
        mutationFn: () =>
            base === null
                ? ask(api.POST('/items', { body: itemToSend(typed, null) }))
                : ask(
                      api.PUT('/items/{item}', {
                          params: { path: { item: begin.code } },
                          body: itemToSend(typed, base),
                      }),
                  ),
        onSuccess: async (made) => {
            forget();
            await client.invalidateQueries();
            void navigate(`/items/${made.code}`);
        },
    });
    const problem = isProblem(keep.error) ? keep.error : null;
    const field = (key: keyof EditedItem, label: string, help?: string) => ({
        label,
        value: typed[key] as string,
        onWrite: (text: string) => type({ ...typed, [key]: text }),
        problem: problem?.at(key),
        help,
    });
    const others = items.filter((one) => one.code !== begin.code).map((one) => [one.code, one.name] as const);
    return (
        <Page title={base === null ? 'New item' : `Change ${begin.name}`}>
            {isOld && <Notice>Your earlier changes are still here, not saved yet.</Notice>}
            <Box
                component="form"
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    keep.mutate();
                }}
            >
                <Sheet title="What it is">
                    <datalist id="known-classes">
                        {classes.map((one) => (
                            <option key={one.class} value={one.class}>
                                {one.title}
                            </option>
                        ))}
                    </datalist>
                    <Row columns="repeat(2, minmax(0, 1fr))">
                        <Write {...field('name', 'Name', 'Its generic name, such as Medium dressing.')} />
                        <Write
                            {...field('code', 'Code', 'Such as dressing-medium. It stays as it is.')}
                            slotProps={{ htmlInput: { readOnly: base !== null } }}
                        />
                        <Write
                            {...field('class', 'Class', 'With dots, such as dressing.sterile; a new one is made.')}
                            slotProps={{ htmlInput: { list: 'known-classes' } }}
                        />
                        <Write {...field('purpose', 'Purpose', 'In about five words.')} />
                        <Write {...field('caution', 'Caution', 'Where it can hurt: not for eyes, not on bare skin.')} />
                        <Write {...field('allergy', 'Allergy note', 'Such as: contains latex.')} />
                    </Row>
                    <Row columns="repeat(3, minmax(0, 1fr))">
                        <Write {...field('mass', 'Mass of one', 'With its unit: 22 g, 0.8 oz.')} />
                        <Choose
                            label="Counted by"
                            value={typed.count_unit}
                            onChoose={(unit) =>
                                type({ ...typed, count_unit: unit === 'pair' || unit === 'roll' ? unit : 'each' })
                            }
                            options={[
                                ['each', 'each'],
                                ['pair', 'pair'],
                                ['roll', 'roll'],
                            ]}
                        />
                        <Choose
                            label="For"
                            value={typed.scope}
                            onChoose={(scope) =>
                                type({ ...typed, scope: scopes.find(([one]) => one === scope)?.[0] ?? 'anyone' })
                            }
                            options={scopes}
                            helperText="An item that nobody at a place may use counts as missing."
                        />
                    </Row>
                    <Box sx={{ display: 'grid', justifyItems: 'start' }}>
                        <Tick
                            label="Carries a date; without one it never counts"
                            checked={typed.dated}
                            onTick={(dated) => type({ ...typed, dated })}
                        />
                        <Tick
                            label="Sterile"
                            checked={typed.sterile}
                            onTick={(sterile) => type({ ...typed, sterile })}
                        />
                        <Tick
                            label="May be kept as reserve when expired, where the policy allows it"
                            checked={typed.reserve}
                            onTick={(reserve) => type({ ...typed, reserve })}
                        />
                    </Box>
                </Sheet>
                <ItemRows typed={typed} type={type} problem={problem} others={others} />
                <Sheet title="Storage and life">
                    <Row columns="repeat(4, minmax(0, 1fr))">
                        <Write {...field('storage_min_c', 'Not below °C')} />
                        <Write {...field('storage_max_c', 'Not above °C')} />
                        <Write {...field('opened_life', 'Life after opening')} />
                        <Choose
                            label="Days, weeks or months"
                            value={typed.opened_life_unit}
                            onChoose={(unit) =>
                                type({
                                    ...typed,
                                    opened_life_unit: unit === 'days' || unit === 'weeks' ? unit : 'months',
                                })
                            }
                            options={[
                                ['days', 'days'],
                                ['weeks', 'weeks'],
                                ['months', 'months'],
                            ]}
                        />
                    </Row>
                    <Choose
                        label="Superseded by"
                        value={typed.superseded_by}
                        empty="nothing: it is current"
                        onChoose={(superseded_by) => type({ ...typed, superseded_by })}
                        options={others}
                        sx={{ maxWidth: 420 }}
                    />
                </Sheet>
                <Box sx={{ display: 'flex', gap: 2 }}>
                    <Button type="submit" variant="contained" disabled={keep.isPending}>
                        Save item
                    </Button>
                    <Button
                        onClick={() => {
                            forget();
                            void navigate(base === null ? '/items' : `/items/${begin.code}`);
                        }}
                    >
                        Discard my changes
                    </Button>
                </Box>
                {problem && <Trouble error={problem} />}
            </Box>
        </Page>
    );
}
