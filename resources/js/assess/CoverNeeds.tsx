import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Row, Write } from '../ui/Fields';
import { Sheet, Trouble } from '../ui/Page';
import { SearchPlace } from '../ui/Search';
import { sayScope } from '../ui/words';
import { words } from './words';

type Need = Schemas['CoverNeeded']['needs'][number];

const scopes = (['first_aider', 'trained', 'clinician', 'anyone'] as const).map(
    (scope) => [scope, sayScope(scope)] as const,
);

/** How many first aiders a place asks for, by shift and training: the responsible person says. */
export function CoverNeeds() {
    const client = useQueryClient();
    const { data: shifts = [] } = useQuery(questions.shifts());
    const { data: cover = [] } = useQuery(questions.cover());
    const [place, setPlace] = useState('');
    const [needs, setNeeds] = useState<Need[]>([]);
    const keep = useMutation({
        mutationFn: () => ask(api.PUT('/cover', { body: { place_id: place, needs } })),
        onSuccess: () => client.invalidateQueries(),
    });
    const problem = isProblem(keep.error) ? keep.error : null;
    const choose = (chosen: string) => {
        setPlace(chosen);
        keep.reset();
        setNeeds(
            cover
                .filter((row) => row.place.id === chosen)
                .map((row) => ({ shift: row.shift, scope: row.scope, count: row.needed })),
        );
    };
    const set = (at: number, to: Partial<Need>) =>
        setNeeds(needs.map((need, index) => (index === at ? { ...need, ...to } : need)));
    return (
        <Sheet title={words.howManyAPlaceNeeds}>
            <SearchPlace
                label={words.place}
                value={place}
                onChoose={choose}
                helperText={words.yourRegulatorsGuidanceGivesFigures}
                sx={{ maxWidth: 480 }}
            />
            {place !== '' && (
                <>
                    {needs.map((need, at) => (
                        <Row key={at} columns="minmax(0, 1fr) minmax(0, 2fr) minmax(0, 1fr) auto">
                            <Choose
                                label={words.shift}
                                value={need.shift}
                                empty={words.chooseTheShift}
                                onChoose={(shift) => set(at, { shift })}
                                options={shifts.map(({ name }) => [name, name] as const)}
                                error={problem?.at(`needs.${at}.shift`) !== undefined}
                                helperText={problem?.at(`needs.${at}.shift`)}
                            />
                            <Choose
                                label={words.trained}
                                value={need.scope}
                                onChoose={(scope) =>
                                    set(at, { scope: scopes.find(([one]) => one === scope)?.[0] ?? 'first_aider' })
                                }
                                options={scopes}
                            />
                            <Write
                                label={words.howMany}
                                value={String(need.count)}
                                onWrite={(typed) => set(at, { count: Number(typed) || 0 })}
                                problem={problem?.at(`needs.${at}.count`)}
                                slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                            />
                            <Button
                                aria-label={words.removeNeed(at + 1)}
                                onClick={() => setNeeds(needs.filter((_, index) => index !== at))}
                            >
                                {words.remove3}
                            </Button>
                        </Row>
                    ))}
                    <Box sx={{ display: 'flex', gap: 2, mt: 3 }}>
                        <Button
                            onClick={() =>
                                setNeeds([...needs, { shift: shifts[0]?.name ?? '', scope: 'first_aider', count: 1 }])
                            }
                        >
                            {words.addAShift}
                        </Button>
                        <Button variant="contained" onClick={() => keep.mutate()} disabled={keep.isPending}>
                            {words.saveForThisPlace}
                        </Button>
                    </Box>
                    {keep.isSuccess && <Box role="status">{words.saved2}</Box>}
                    {problem && problem.status !== 422 && <Trouble error={problem} />}
                </>
            )}
        </Sheet>
    );
}
