import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { questions } from '../api/queries';
import { useKept } from '../offline/useKept';
import { Row, Tick, Write } from '../ui/Fields';
import { Page, Sheet, Trouble } from '../ui/Page';
import { Search } from '../ui/Search';
import { DesignPockets } from './DesignPockets';
import { listOptions } from '../ui/words';
import { words } from './words';

export interface Layout {
    id: string;
    list: string;
    name: string;
    weeks: string;
    margin: string;
    mass: string;
    isSealed: boolean;
    /** Null until it is laid out otherwise than proposed. */
    leaves: Schemas['ProposedLeaf'][] | null;
}

const whole = (text: string) => (/^\d{1,6}$/.test(text.trim()) ? Number(text.trim()) : -1);

/** A design for a list: pockets by class of item, lines moved between them in a simple form. */
export default function DesignPage() {
    const navigate = useNavigate();
    const client = useQueryClient();
    const [search] = useSearchParams();
    const { data: lists } = useQuery(questions.listChoices());
    const { typed, type, forget } = useKept<Layout>('design', {
        id: newId(),
        list: search.get('list') ?? '',
        name: '',
        weeks: '12',
        margin: '14',
        mass: '500',
        isSealed: false,
        leaves: null,
    });
    const { data: proposed } = useQuery(questions.layout(typed.list));
    const leaves = typed.leaves ?? proposed ?? [];
    const [error, setError] = useState<unknown>(null);
    const [isSaving, setSaving] = useState(false);
    const problem = isProblem(error) ? error : null;
    const set = (to: Partial<Layout>) => type((now) => ({ ...now, ...to }));
    const save = async () => {
        setSaving(true);
        setError(null);
        try {
            const { response, error: refused } = await api.PUT('/designs/{id}', {
                params: { path: { id: typed.id } },
                body: {
                    name: typed.name.trim(),
                    list_id: typed.list,
                    every_weeks: whole(typed.weeks),
                    margin_days: whole(typed.margin),
                    empty_mass_g: whole(typed.mass),
                    sealed: typed.isSealed,
                    leaves: leaves.map((leaf) => ({
                        name: leaf.name,
                        pockets: leaf.pockets
                            .filter((pocket) => pocket.lines.length > 0)
                            .map((pocket) => ({ name: pocket.name, lines: pocket.lines.map((line) => line.code) })),
                    })),
                },
            });
            if (!response.ok) {
                await ask(Promise.resolve({ error: refused, response }));
            }
            forget();
            await client.invalidateQueries();
            void navigate(`/kits/new?design=${typed.id}`);
        } catch (trouble) {
            setError(trouble);
        } finally {
            setSaving(false);
        }
    };
    return (
        <Page
            title={words.newDesign}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.newDesignAbout}</Typography>}
        >
            <Box
                component="form"
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    void save();
                }}
                sx={{ maxWidth: 980 }}
            >
                <Sheet title={words.whatItHolds}>
                    <Row columns="repeat(2, minmax(0, 1fr))">
                        <Search
                            label={words.list}
                            value={typed.list}
                            options={listOptions(lists ?? [])}
                            onChoose={(list) => set({ list, leaves: null })}
                            error={problem?.at('list_id') !== undefined}
                            helperText={problem?.at('list_id') ?? words.listOfDesign}
                        />
                        <Write
                            label={words.nameOfDesign}
                            value={typed.name}
                            onWrite={(name) => set({ name })}
                            problem={problem?.at('name')}
                            help={words.nameOfDesignHelp}
                        />
                    </Row>
                    <Row columns="repeat(3, minmax(0, 1fr))">
                        <Write
                            label={words.weeksBetweenChecks}
                            value={typed.weeks}
                            onWrite={(weeks) => set({ weeks })}
                            problem={problem?.at('every_weeks')}
                        />
                        <Write
                            label={words.marginDays}
                            value={typed.margin}
                            onWrite={(margin) => set({ margin })}
                            problem={problem?.at('margin_days')}
                            help={words.marginDaysHelp}
                        />
                        <Write
                            label={words.emptyMass}
                            value={typed.mass}
                            onWrite={(mass) => set({ mass })}
                            problem={problem?.at('empty_mass_g')}
                        />
                    </Row>
                    <Tick label={words.keptSealed} checked={typed.isSealed} onTick={(isSealed) => set({ isSealed })} />
                </Sheet>
                {leaves.length > 0 && (
                    <DesignPockets leaves={leaves} onChange={(changed) => set({ leaves: changed })} />
                )}
                {Object.entries(problem?.errors ?? {})
                    .filter(([field]) => field.startsWith('leaves'))
                    .map(([field, texts]) => (
                        <Typography key={field} role="alert" color="error">
                            {texts[0]}
                        </Typography>
                    ))}
                {error !== null && problem?.status !== 422 && <Trouble error={error} />}
                <Button
                    type="submit"
                    variant="contained"
                    disabled={typed.list === '' || typed.name.trim() === '' || leaves.length === 0 || isSaving}
                    sx={{ mt: 2 }}
                >
                    {words.makeDesign}
                </Button>
            </Box>
        </Page>
    );
}
