import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type SyntheticEvent } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { newId } from '../api/newId';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { ListWarning } from '../lists/ListWarning';
import { OpenKit } from '../ui/OpenKit';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { SearchPlace } from '../ui/Search';
import { count, sayList, sayScope } from '../ui/words';
import { words } from './words';

/** The device's own list: it serves gloves and keys alike. */
const listed = { select: { native: true }, inputLabel: { shrink: true } } as const;

const scopes: Schemas['NewKit']['scope'][] = ['anyone', 'first_aider', 'trained', 'clinician'];

/** A new kit: a design, a place and a code. It starts as an empty bag and is filled by restocking it. */
export default function EquipPage() {
    const navigate = useNavigate();
    const [search] = useSearchParams();
    const client = useQueryClient();
    const { data: designs, error } = useQuery(questions.designs());
    const [kit, setKit] = useState<Schemas['NewKit']>(() => ({
        id: newId(),
        code: '',
        name: '',
        design_id: search.get('design') ?? '',
        place_id: search.get('place') ?? '',
        task: search.get('task'),
        scope: 'first_aider',
    }));
    const equip = useMutation({
        mutationFn: (body: Schemas['NewKit']) => ask(api.POST('/kits', { body })),
        onSuccess: async (made) => {
            await client.invalidateQueries();
            void navigate(`/kits/${made.code}/restock`);
        },
    });
    if (!designs) {
        return <Waiting error={error} />;
    }
    const problem = isProblem(equip.error) ? equip.error : null;
    const design = designs.find((one) => one.id === kit.design_id);
    const field = (name: keyof Schemas['NewKit'], label: string, help: string) => ({
        label,
        name,
        value: kit[name],
        onChange: (event: { target: { value: string } }) =>
            setKit({ ...kit, [name]: name === 'code' ? event.target.value.toUpperCase() : event.target.value }),
        error: problem?.at(name) !== undefined,
        helperText: problem?.at(name) ?? help,
    });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        equip.mutate(kit);
    };
    return (
        <Page title={words.equipANewKit}>
            <Box
                sx={{
                    display: 'grid',
                    gap: 4,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1.2fr)' },
                    alignItems: 'start',
                }}
            >
                <Sheet title={words.whatAndWhere}>
                    <Box component="form" noValidate onSubmit={submit} sx={{ display: 'grid', gap: 4, mt: 3 }}>
                        <TextField
                            select
                            slotProps={listed}
                            {...field('design_id', words.design, words.thePackingPlanItsList)}
                        >
                            <option value="">{words.chooseOne}</option>
                            {designs.map((one) => (
                                <option key={one.id} value={one.id}>
                                    {one.name}, {count(one.lines, 'line')}
                                </option>
                            ))}
                        </TextField>
                        <SearchPlace
                            label={words.place}
                            value={kit.place_id}
                            onChoose={(place_id) => setKit({ ...kit, place_id })}
                            error={problem?.at('place_id') !== undefined}
                            helperText={problem?.at('place_id') ?? words.whereEveryoneCanSeeAnd}
                        />
                        <TextField {...field('code', words.code, words.asPrintedOnTheLabel)} />
                        <TextField {...field('name', words.name, words.whatPeopleCallItSuch)} />
                        <TextField
                            select
                            slotProps={listed}
                            {...field('scope', words.forWord, words.itemsOutsideThisScopeOf)}
                        >
                            {scopes.map((scope) => (
                                <option key={scope} value={scope}>
                                    {sayScope(scope)}
                                </option>
                            ))}
                        </TextField>
                        {problem && problem.status !== 422 && <Trouble error={problem} />}
                        <Button type="submit" variant="contained" disabled={equip.isPending}>
                            {words.equipAndFillThisKit}
                        </Button>
                    </Box>
                </Sheet>
                {design ? (
                    <Box sx={{ minWidth: 0 }}>
                        <OpenKit leaves={design.leaves} lines={[]} onSelect={() => undefined} />
                        <Typography sx={{ my: 3 }}>
                            {design.name}: {count(design.lines, 'line')}, list: {sayList(design.list)}.{' '}
                            {design.kits.length > 0
                                ? words.kitsOfThisDesign(design.kits.join(', '))
                                : words.thereIsNoKitOf}
                            {design.sealed && words.kitsOfThisDesignAre}
                        </Typography>
                        <ListWarning list={design.list} />
                    </Box>
                ) : (
                    <Sheet title={words.theDesign}>
                        <Typography sx={{ color: 'text.secondary' }}>{words.chooseADesignToSee}</Typography>
                    </Sheet>
                )}
            </Box>
        </Page>
    );
}
