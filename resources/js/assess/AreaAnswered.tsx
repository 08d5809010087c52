import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { useSession } from '../session/useSession';
import { Write } from '../ui/Fields';
import { Sheet, Trouble } from '../ui/Page';
import { sayDay, sayName } from '../ui/words';
import { words } from './words';

/** An area as it was answered, for reading; anyone may say that it has changed since. */
export function AreaAnswered({ area, isSigned }: { area: Schemas['AreaResource']; isSigned: boolean }) {
    const facts: [string, string][] = [
        [words.where, area.places.map((place) => place.path).join('; ') || words.noPlaceNamed],
        [words.kitsAreKeptAt, area.hangs_at ?? words.notSaid],
        [words.hazard, area.hazard],
        [words.peopleAtTheBusiestTime, String(area.people)],
        [words.points, String(area.points)],
        [words.loneWorkers, String(area.lone_workers)],
        [words.vehicles, String(area.vehicles)],
        [words.children, String(area.children)],
        [words.untilAnAmbulanceIsThere, words.minutes(area.minutes_to_help)],
        [words.runningWater, area.running_water ? 'yes' : 'no'],
        ...(area.cold_packs === null
            ? []
            : ([[words.freezer, words.freezerSaid(area.has_freezer, area.cold_packs)]] as [string, string][])),
        [words.risks, [...area.risks, ...area.follows_risks].map(sayName).join(', ') || words.noneNamed],
        ...(area.note ? ([[words.note, area.note]] as [string, string][]) : []),
    ];
    return (
        <Sheet title={area.name}>
            <Box
                component="dl"
                sx={{
                    display: 'grid',
                    gridTemplateColumns: 'minmax(110px, auto) minmax(0, 1fr)',
                    gap: '6px 16px',
                    m: 0,
                    '& dt': { color: 'text.secondary' },
                    '& dd': { m: 0 },
                }}
            >
                {facts.map(([term, fact]) => (
                    <Box key={term} sx={{ display: 'contents' }}>
                        <dt>{term}</dt>
                        <dd>{fact}</dd>
                    </Box>
                ))}
            </Box>
            {(area.is_new || area.changes.length > 0) && (
                <>
                    <Typography variant="h3" sx={{ mt: 4 }}>
                        {words.sinceTheLastAssessment}
                    </Typography>
                    <Box component="ul" sx={{ m: 0, pl: 5 }}>
                        {area.is_new && <li>{words.thisAreaIsNew}</li>}
                        {area.changes.map((change) => (
                            <li key={change}>{change}</li>
                        ))}
                    </Box>
                </>
            )}
            {isSigned && <SayChanged area={area} />}
        </Sheet>
    );
}

function SayChanged({ area }: { area: Schemas['AreaResource'] }) {
    const client = useQueryClient();
    const { may } = useSession();
    const [what, setWhat] = useState('');
    const say = useMutation({
        mutationFn: () =>
            ask(api.POST('/areas/{area}/changes', { params: { path: { area: area.id } }, body: { what } })),
        onSuccess: (now) => {
            setWhat('');
            client.setQueryData(['assessment', now.id], now);
            void client.invalidateQueries({ queryKey: ['asks'] });
        },
    });
    const problem = isProblem(say.error) ? say.error : null;
    return (
        <Box
            component="form"
            noValidate
            sx={{ mt: 4 }}
            onSubmit={(event) => {
                event.preventDefault();
                say.mutate();
            }}
        >
            <Typography variant="h3">{words.changesToThisArea}</Typography>
            {area.seen.map((seen) => (
                <Typography key={seen.what} variant="body2" sx={{ my: 1 }}>
                    ▲ {seen.what} ({seen.by}, {sayDay(seen.on)})
                </Typography>
            ))}
            {may('report') && (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'start', mt: 2 }}>
                    <Write
                        label={words.whatHasChanged}
                        value={what}
                        onWrite={setWhat}
                        problem={problem?.at('what')}
                        help={words.aReviewOfTheAssessment}
                    />
                    <Button type="submit" disabled={say.isPending} sx={{ flex: 'none' }}>
                        {words.reportChange}
                    </Button>
                </Box>
            )}
            {problem && problem.status !== 422 && <Trouble error={problem} />}
        </Box>
    );
}
