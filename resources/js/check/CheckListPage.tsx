import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { questions } from '../api/queries';
import { KitLine } from '../pack/PlacesPage';
import { useSession } from '../session/useSession';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { count } from '../ui/words';
import { drafts } from './drafts';
import { words } from './words';

/** All kits by the day on which their check falls due. */
export default function CheckListPage() {
    const { data: places, error } = useQuery(questions.places());
    const { may, today, user } = useSession();
    const own = useSyncExternalStore(drafts.subscribe, drafts.all).filter((draft) => draft.user === user?.id).length;
    if (!places) {
        return <Waiting error={error} />;
    }
    const kits = places
        .flatMap((place) => place.kits)
        .sort((one, other) => ((one.due_on ?? '9') < (other.due_on ?? '9') ? -1 : 1));
    const groups = [
        { title: words.dueNow, kits: kits.filter((kit) => kit.due_on !== null && kit.due_on <= today) },
        { title: words.dueLater, kits: kits.filter((kit) => kit.due_on !== null && kit.due_on > today) },
        { title: words.noCheckPlanned, kits: kits.filter((kit) => kit.due_on === null) },
    ];
    return (
        <Page
            title={words.check}
            beside={
                own > 0 && (
                    <Button component={Link} to="/waiting">
                        {words.onThisDevice(count(own, 'check'))}
                    </Button>
                )
            }
        >
            <Box
                sx={{
                    display: 'grid',
                    gap: 4,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1fr)' },
                    alignItems: 'start',
                }}
            >
                {groups.map(
                    (group) =>
                        (group.kits.length > 0 || group.title === 'Due now') && (
                            <Sheet key={group.title} title={`${group.title}: ${count(group.kits.length, 'kit')}`}>
                                {group.kits.length === 0 && <Empty>{words.noCheckIsDueAny}</Empty>}
                                {group.kits.map((kit) => (
                                    <Box
                                        key={kit.code}
                                        sx={{
                                            display: 'grid',
                                            gridTemplateColumns: { sm: 'minmax(0, 1fr) 120px' },
                                            gap: 3,
                                            alignItems: 'center',
                                        }}
                                    >
                                        <KitLine kit={kit} />
                                        {may('check') && (
                                            <Button
                                                component={Link}
                                                to={`/kits/${kit.code}/check`}
                                                variant={group.title === 'Due now' ? 'contained' : 'outlined'}
                                                aria-label={words.check2(kit.code)}
                                            >
                                                {words.check}
                                            </Button>
                                        )}
                                    </Box>
                                ))}
                            </Sheet>
                        ),
                )}
            </Box>
        </Page>
    );
}
