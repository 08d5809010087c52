import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { VerdictMark } from '../ui/VerdictMark';
import { count, sayDay } from '../ui/words';
import { words } from './words';

const ASK_AGAIN_MS = 1500;

/** All kits, by place in walking order. */
export default function PlacesPage() {
    const { data: places, error } = useQuery({
        ...questions.places(),
        refetchInterval: (query) =>
            query.state.data?.some((place) => place.kits.some((kit) => kit.verdict === null)) ? ASK_AGAIN_MS : false,
    });
    const { may } = useSession();
    const { hash } = useLocation();
    useEffect(() => {
        if (places && hash) {
            document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'start' });
        }
    }, [places, hash]);
    if (!places) {
        return <Waiting error={error} />;
    }
    const used = places.filter((place) => place.kits.length > 0 || `#place-${place.id}` === hash);
    const kits = used.reduce((sum, place) => sum + place.kits.length, 0);
    return (
        <Page
            title={words.kitsByPlace}
            beside={
                <>
                    <Typography sx={{ alignSelf: 'center', color: 'text.secondary' }}>
                        {count(kits, 'kit')} in {count(used.length, 'place')} of {places.length}
                        {words.inWalkingOrder}
                    </Typography>
                    {may('equip') && (
                        <Button component={Link} to="/kits/new" variant="contained">
                            {words.equipANewKit}
                        </Button>
                    )}
                </>
            }
        >
            {used.length === 0 && <Empty>{words.thereIsNoKitYet}</Empty>}
            <Box sx={{ columnWidth: { md: 520 }, columnGap: 4 }}>
                {used.map((place) => (
                    <Box key={place.id} sx={{ breakInside: 'avoid' }}>
                        <Sheet id={`place-${place.id}`} title={place.path}>
                            {place.kits.length === 0 && <Empty>{words.noKitIsAtThis}</Empty>}
                            {place.kits.map((kit) => (
                                <KitLine key={kit.code} kit={kit} />
                            ))}
                        </Sheet>
                    </Box>
                ))}
            </Box>
        </Page>
    );
}

export function dueWords(kit: Schemas['KitRow']): string {
    if (kit.due_on === null) {
        return words.noCheckPlanned;
    }
    const what = kit.due_kind === 'quick' ? words.quickCheck2 : 'check';
    return kit.overdue_days > 0
        ? words.overdue(what, count(kit.overdue_days, 'day'))
        : words.due(what, sayDay(kit.due_on));
}

export function KitLine({ kit }: { kit: Schemas['KitRow'] }) {
    return (
        <Box
            sx={{
                display: 'grid',
                gridTemplateColumns: 'minmax(0, 1fr) auto',
                gap: '2px 12px',
                py: 2,
                borderTop: 1,
                borderColor: 'divider',
            }}
        >
            <Box
                component={Link}
                to={`/kits/${kit.code}`}
                sx={{
                    color: 'primary.main',
                    fontWeight: 700,
                    textDecoration: 'none',
                    '&:hover': { textDecoration: 'underline' },
                }}
            >
                {kit.code} {kit.name}
            </Box>
            <VerdictMark verdict={kit.verdict} />
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {kit.design_name}
                {kit.seal === 'intact' && words.sealed}
                {kit.seal === 'broken' && words.sealBroken}
            </Typography>
            <Typography variant="body2" sx={{ textAlign: 'right', fontWeight: kit.overdue_days > 0 ? 700 : 400 }}>
                {dueWords(kit)}
            </Typography>
            {kit.reasons[0] && (
                <Typography variant="body2" sx={{ gridColumn: '1 / -1' }}>
                    {kit.reasons[0]}
                    {kit.reasons.length > 1 && words.and(count(kit.reasons.length - 1, 'more reason'))}
                </Typography>
            )}
        </Box>
    );
}
