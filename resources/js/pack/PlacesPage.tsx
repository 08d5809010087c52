import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Schemas, Verdict } from '../api/client';
import { newest } from '../api/newest';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose } from '../ui/Fields';
import { ExportSheet, Pager, ShowOnly } from '../ui/Listing';
import { OfflineCopy } from '../ui/OfflineCopy';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { SearchPlace } from '../ui/Search';
import { useListing, type Listing } from '../ui/useListing';
import { count, verdictWords } from '../ui/words';
import { KitLine } from './KitLine';
import { words } from './words';

const ASK_AGAIN_MS = 1500;

const FIELDS = ['q', 'place', 'verdict', 'work'] as const;

const verdicts = (Object.keys(verdictWords) as Verdict[])
    .reverse()
    .map((verdict) => [verdict, verdictWords[verdict]] as const);

const works = [
    ['check_due', words.checkIsDue],
    ['restock', words.toRestock],
] as const;

const sorts = [
    ['', words.byWalkingOrder],
    ['code', words.byCode],
    ['due', words.byNextCheck],
    ['band', words.byUrgency],
] as const;

/** All kits, by place in walking order, or by what they want. */
export default function PlacesPage() {
    const listing = useListing(FIELDS);
    const answer = useQuery({
        ...questions.kits(listing.asked, listing.page),
        placeholderData: keepPreviousData,
        refetchInterval: (query) => (query.state.data?.kits.some((kit) => kit.verdict === null) ? ASK_AGAIN_MS : false),
    });
    const [data, error] = [newest(answer), answer.error];
    const { may, timeZone } = useSession();
    if (!data) {
        return <Waiting error={error} />;
    }
    const things = count(data.page.in_all, 'kit');
    return (
        <Page
            title={words.kitsByPlace}
            beside={
                <>
                    {may('export') && <ExportSheet listing={listing} path="/kits" />}
                    <Button component={Link} to="/designs">
                        {words.designs}
                    </Button>
                    <Button component={Link} to="/places">
                        {words.places}
                    </Button>
                    {may('equip') && (
                        <Button component={Link} to="/kits/new" variant="contained">
                            {words.equipANewKit}
                        </Button>
                    )}
                </>
            }
        >
            <Filters listing={listing} />
            <OfflineCopy path="/api/kits" timeZone={timeZone}>
                <Sheet title={listing.isAll ? things : words.match(things)}>
                    {data.kits.length === 0 && (
                        <Empty>{listing.isAll ? words.thereIsNoKitYet : words.noKitMatches}</Empty>
                    )}
                    {listing.get('sort') === '' ? (
                        <ByPlace kits={data.kits} />
                    ) : (
                        data.kits.map((kit) => <KitLine key={kit.code} kit={kit} isPlaced />)
                    )}
                    <Pager page={data.page} listing={listing} things={things} />
                </Sheet>
            </OfflineCopy>
        </Page>
    );
}

function Filters({ listing }: { listing: Listing }) {
    const filter = (name: string) => ({
        value: listing.get(name),
        empty: words.all,
        onChoose: (value: string) => listing.set({ [name]: value }),
    });
    return (
        <Box
            role="search"
            aria-label={words.showOnlySome}
            sx={{
                display: 'grid',
                gap: 3,
                mb: 4,
                gridTemplateColumns: {
                    xs: 'repeat(2, minmax(0, 1fr))',
                    lg: '240px minmax(0, 2fr) repeat(3, minmax(0, 1fr))',
                },
                alignItems: 'start',
            }}
        >
            <ShowOnly listing={listing} />
            <SearchPlace
                label={words.place}
                value={listing.get('place')}
                onChoose={(place) => listing.set({ place })}
                placeholder={words.allPlaces}
            />
            <Choose label={words.verdict} {...filter('verdict')} options={verdicts} />
            <Choose label={words.toDo} {...filter('work')} options={works} />
            <Choose
                label={words.sorted}
                value={listing.get('sort')}
                onChoose={(sort) => listing.set({ sort })}
                options={sorts}
            />
        </Box>
    );
}

function ByPlace({ kits }: { kits: Schemas['KitRow'][] }) {
    const places = [...new Map(kits.map((kit) => [kit.place.id, kit.place])).values()];
    return (
        <Box sx={{ columnWidth: { md: 520 }, columnGap: 6 }}>
            {places.map((place) => (
                <Box key={place.id} component="section" aria-label={place.path} sx={{ breakInside: 'avoid', mb: 4 }}>
                    <Box component="h3" sx={{ m: 0, mb: 1, fontSize: 15 }}>
                        {place.path}
                    </Box>
                    {kits
                        .filter((kit) => kit.place.id === place.id)
                        .map((kit) => (
                            <KitLine key={kit.code} kit={kit} />
                        ))}
                </Box>
            ))}
        </Box>
    );
}
