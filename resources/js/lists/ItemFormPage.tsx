import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate, useParams } from 'react-router';
import { api, ask, isProblem } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { useKept } from '../offline/useKept';
import { sayScope } from '../ui/words';
import { freshItem, itemOf, itemToSend, type EditedItem } from './itemEditing';
import { ItemHandling } from './ItemHandling';
import { ItemRows } from './ItemRows';
import { useForeseen } from '../ui/Foreseen';
import { KNOWN_CLASSES, KnownClasses } from './KnownClasses';
import { words } from './words';

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
    const { data: items = [] } = useQuery(questions.itemChoices());
    const { data: classes = [] } = useQuery(questions.classes());
    const { typed, type, forget, isOld } = useKept<EditedItem>(`item.${begin.code}.${base ?? 'new'}`, begin);
    const keep = useForeseen({
        write: (headers) =>
            base === null
                ? ask(api.POST('/items', { body: itemToSend(typed, null), headers }))
                : ask(
                      api.PUT('/items/{item}', {
                          params: { path: { item: begin.code } },
                          body: itemToSend(typed, base),
                          headers,
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
    const needsSaying = (typedClass: string) =>
        classes.some(
            (one) => one.reserve_needs_saying && (typedClass === one.class || typedClass.startsWith(`${one.class}.`)),
        );
    const others = items.filter((one) => one.code !== begin.code).map((one) => [one.code, one.name] as const);
    return (
        <Page title={base === null ? words.newItem : words.change(begin.name)}>
            {isOld && <Notice>{words.yourEarlierChangesAreStill}</Notice>}
            <Box
                component="form"
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    keep.begin();
                }}
            >
                <Sheet title={words.whatItIs}>
                    <KnownClasses />
                    <Row columns="repeat(2, minmax(0, 1fr))">
                        <Write {...field('name', words.name, words.itsGenericNameSuchAs)} />
                        <Write
                            {...field('code', words.code, words.suchAsDressingMediumIt)}
                            slotProps={{ htmlInput: { readOnly: base !== null } }}
                        />
                        <Write
                            {...field('class', words.classWord, words.withDotsSuchAsDressing)}
                            onWrite={(text) =>
                                type({
                                    ...typed,
                                    class: text,
                                    reserve: needsSaying(text) && !needsSaying(typed.class) ? false : typed.reserve,
                                })
                            }
                            slotProps={{ htmlInput: { list: KNOWN_CLASSES } }}
                        />
                        <Write {...field('purpose', words.purpose, words.inAboutFiveWords)} />
                        <Write {...field('caution', words.caution, words.whereItCanHurtNot)} />
                        <Write {...field('allergy', words.allergyNote, words.suchAsContainsLatex)} />
                    </Row>
                    <Row columns="repeat(3, minmax(0, 1fr))">
                        <Write {...field('mass', words.massOfOne, words.withItsUnit22G)} />
                        <Choose
                            label={words.countedBy}
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
                            label={words.forWord}
                            value={typed.scope}
                            onChoose={(scope) =>
                                type({ ...typed, scope: scopes.find(([one]) => one === scope)?.[0] ?? 'anyone' })
                            }
                            options={scopes}
                            helperText={words.anItemThatNobodyAt}
                        />
                    </Row>
                    <Box sx={{ display: 'grid', justifyItems: 'start' }}>
                        <Tick
                            label={words.carriesADateWithoutOne}
                            checked={typed.dated}
                            onTick={(dated) => type({ ...typed, dated })}
                        />
                        <Tick
                            label={words.sterile}
                            checked={typed.sterile}
                            onTick={(sterile) => type({ ...typed, sterile })}
                        />
                        <Tick
                            label={words.mayBeKeptAsReserve}
                            checked={typed.reserve}
                            onTick={(reserve) => type({ ...typed, reserve })}
                        />
                        {needsSaying(typed.class) && (
                            <Typography variant="body2" sx={{ color: 'text.secondary', ml: 4 }}>
                                {words.reserveNeedsSaying}
                            </Typography>
                        )}
                        <Tick
                            label={words.onlyAtHandForTrained}
                            checked={typed.only_for_trained}
                            onTick={(only_for_trained) => type({ ...typed, only_for_trained })}
                        />
                    </Box>
                    <Write
                        {...field('never_for', words.neverInPlaceOf, words.classesOfItemsSuchAs)}
                        problem={
                            Object.entries(problem?.errors ?? {}).find(([at]) => at.startsWith('never_for'))?.[1][0]
                        }
                        sx={{ mt: 2, maxWidth: 640 }}
                    />
                </Sheet>
                <ItemRows typed={typed} type={type} problem={problem} others={others} />
                <ItemHandling typed={typed} type={type} problem={problem} others={others} />
                <Sheet title={words.storageAndLife}>
                    <Row columns="repeat(4, minmax(0, 1fr))">
                        <Write {...field('storage_min_c', words.notBelowC)} />
                        <Write {...field('storage_max_c', words.notAboveC)} />
                        <Write {...field('opened_life', words.lifeAfterOpening, words.monthsCountAsTheFewest)} />
                        <Choose
                            label={words.daysWeeksOrMonths}
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
                        label={words.supersededBy}
                        value={typed.superseded_by}
                        empty={words.nothingItIsCurrent}
                        onChoose={(superseded_by) => type({ ...typed, superseded_by })}
                        options={others}
                        sx={{ maxWidth: 420 }}
                    />
                </Sheet>
                <Box sx={{ display: 'flex', gap: 2 }}>
                    <Button type="submit" variant="contained" disabled={keep.isPending}>
                        {words.saveItem}
                    </Button>
                    <Button
                        onClick={() => {
                            forget();
                            void navigate(base === null ? '/items' : `/items/${begin.code}`);
                        }}
                    >
                        {words.discardMyChanges}
                    </Button>
                </Box>
                {problem && <Trouble error={problem} />}
            </Box>
            {keep.dialog}
        </Page>
    );
}
