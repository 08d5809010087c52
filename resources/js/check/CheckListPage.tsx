import Button from '@mui/material/Button';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { questions } from '../api/queries';
import { KitLine } from '../pack/KitLine';
import { useSession } from '../session/useSession';
import { ExportSheet, Pager, ShowOnly } from '../ui/Listing';
import { Empty, Page, Sheet, Trouble } from '../ui/Page';
import { useListing } from '../ui/useListing';
import { count } from '../ui/words';
import { drafts } from './drafts';
import { TwoColumns } from '../ui/TwoColumns';
import { words } from './words';

const groups = [
    { work: 'check_due', before: 'due-', title: words.dueNow },
    { work: 'check_later', before: 'later-', title: words.dueLater },
    { work: 'check_none', before: 'none-', title: words.noCheckPlanned },
] as const;

/** All kits by the day on which their check falls due. */
export default function CheckListPage() {
    const { may, user } = useSession();
    const own = useSyncExternalStore(drafts.subscribe, drafts.all).filter((draft) => draft.user === user?.id).length;
    const text = useListing(['q']);
    const all = useListing(['q']);
    return (
        <Page
            title={words.check}
            beside={
                <>
                    {own > 0 && (
                        <Button component={Link} to="/waiting">
                            {words.onThisDevice(count(own, 'check'))}
                        </Button>
                    )}
                    {may('export') && (
                        <ExportSheet listing={{ ...all, asked: { ...all.asked, sort: 'due' } }} path="/kits" />
                    )}
                    <ShowOnly listing={text} />
                </>
            }
        >
            <TwoColumns>
                {groups.map((group) => (
                    <Group key={group.work} {...group} q={text.get('q')} />
                ))}
            </TwoColumns>
        </Page>
    );
}

function Group({ work, before, title, q }: (typeof groups)[number] & { q: string }) {
    const listing = useListing([], before);
    const { data, error } = useQuery({
        ...questions.kits({ work, sort: 'due', ...(q && { q }) }, listing.page),
        placeholderData: keepPreviousData,
    });
    if (!data) {
        return error ? <Trouble error={error} /> : null;
    }
    const things = count(data.page.in_all, 'kit');
    return (
        (data.page.in_all > 0 || work === 'check_due') && (
            <Sheet title={`${title}: ${things}`}>
                {data.kits.length === 0 && <Empty>{q ? words.noKitMatches : words.noCheckIsDueAny}</Empty>}
                {data.kits.map((kit) => (
                    <KitLine key={kit.code} kit={kit} job="check" isPlaced />
                ))}
                <Pager page={data.page} listing={listing} things={things} />
            </Sheet>
        )
    );
}
