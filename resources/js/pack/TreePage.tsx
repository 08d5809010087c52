import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose, Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Pager, ShowOnly } from '../ui/Listing';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { SearchPlace } from '../ui/Search';
import { useListing } from '../ui/useListing';
import { count } from '../ui/words';
import { PlaceOrder } from './PlaceOrder';
import { MergePlace, RetirePlace } from './PlaceEnds';
import { words } from './words';

type Place = Schemas['PlaceResource'];

/** The places of the organisation in walking order, each with what hangs there; a lead keeps them. */
export default function TreePage() {
    const listing = useListing(['q']);
    const { may } = useSession();
    const { data, error } = useQuery({
        ...questions.places(listing.get('q'), listing.page),
        placeholderData: keepPreviousData,
    });
    if (!data) {
        return <Waiting error={error} />;
    }
    const things = count(data.page.in_all, 'place');
    return (
        <Page
            title={words.places}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.placesAbout}</Typography>}
            beside={
                <>
                    <ShowOnly listing={listing} />
                    {may('plan') && <PlaceForm />}
                </>
            }
        >
            <Sheet title={listing.isAll ? things : words.match(things)}>
                {data.places.length === 0 && <Empty>{listing.isAll ? words.noPlacesYet : words.noPlaceMatches}</Empty>}
                <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
                    {data.places.map((place, at) => (
                        <One
                            key={place.id}
                            place={place}
                            before={data.places[at - 2]?.id ?? null}
                            isFirst={at === 0}
                            after={data.places[at + 1]?.id}
                            mayOrder={listing.isAll}
                        />
                    ))}
                </Box>
                <Pager page={data.page} listing={listing} things={things} />
            </Sheet>
        </Page>
    );
}

interface OneProps {
    place: Place;
    /** After which place it would come when it is walked past earlier, and later. */
    before: string | null;
    isFirst: boolean;
    after: string | undefined;
    mayOrder: boolean;
}

function One({ place, before, isFirst, after, mayOrder }: OneProps) {
    const { may } = useSession();
    const row = (
        <>
            <Box sx={{ flex: '1 1 240px', minWidth: 0 }}>
                <strong>{place.name}</strong>
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {words.kinds[place.kind]}
                    {place.path !== place.name && `, ${place.path}`}
                    {' · '}
                    {place.kits > 0 ? (
                        <Link to={`/kits?place=${place.id}`} style={{ color: 'inherit' }}>
                            {count(place.kits, 'kit')}
                        </Link>
                    ) : (
                        words.noKitHere
                    )}
                    {place.posted > 0 && ` · ${words.postedHere(place.posted)}`}
                </Typography>
                {place.hanging.length > 0 && (
                    <Typography variant="body2">
                        {place.hanging.map((kit, at) => (
                            <span key={kit.code}>
                                {at > 0 && '; '}
                                <Link to={`/kits/${kit.code}`} style={{ color: 'inherit' }}>
                                    {kit.code}
                                </Link>{' '}
                                {kit.name}
                                {kit.responsible !== null && `, ${kit.responsible}`}
                            </span>
                        ))}
                        {place.kits > place.hanging.length && words.andMore(place.kits - place.hanging.length)}
                    </Typography>
                )}
                {place.stores.length > 0 && (
                    <Typography variant="body2">
                        {words.storeHere}{' '}
                        {place.stores.map((store, at) => (
                            <span key={store.id}>
                                {at > 0 && ', '}
                                <Link to={`/stores/${store.id}`} style={{ color: 'inherit' }}>
                                    {store.name}
                                </Link>
                            </span>
                        ))}
                    </Typography>
                )}
            </Box>
            {may('plan') && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
                    <PlaceForm place={place} />
                    <MergePlace place={place} />
                    <RetirePlace place={place} />
                </Box>
            )}
        </>
    );
    const look = {
        display: 'flex',
        flexWrap: 'wrap',
        gap: '8px 16px',
        alignItems: 'center',
        borderTop: 1,
        borderColor: 'divider',
        py: 1.5,
    } as const;
    return may('plan') && mayOrder ? (
        <PlaceOrder place={place} before={before} isFirst={isFirst} after={after} look={look}>
            {row}
        </PlaceOrder>
    ) : (
        <Box component="li" sx={look}>
            {row}
        </Box>
    );
}

const settings = [
    ['', words.settingAsAbove],
    ['workplace', words.settings.workplace],
    ['school', words.settings.school],
    ['sport', words.settings.sport],
    ['trip', words.settings.trip],
    ['event', words.settings.event],
] as const;

const kinds = ['site', 'building', 'floor', 'spot', 'vehicle', 'person'] as const;

/** A new place, or what one is called and lies in. */
function PlaceForm({ place }: { place?: Place }) {
    const client = useQueryClient();
    const [id, setId] = useState(newId);
    const [typed, setTyped] = useState({
        name: '',
        kind: 'spot' as Place['kind'],
        parent_id: '',
        setting: '' as NonNullable<Place['setting']> | '',
    });
    return (
        <FormDialog
            word={place ? words.changePlace : words.addAPlace}
            wordFor={place ? words.changePlaceOf(place.name) : undefined}
            look={place ? 'outlined' : 'contained'}
            title={place ? place.path : words.addAPlace}
            done={place ? words.save : words.addPlace}
            onOpen={() => {
                setId(newId());
                setTyped(
                    place
                        ? {
                              name: place.name,
                              kind: place.kind,
                              parent_id: place.parent_id ?? '',
                              setting: place.setting ?? '',
                          }
                        : { name: '', kind: 'spot', parent_id: typed.parent_id, setting: '' },
                );
            }}
            save={async () => {
                await ask(
                    api.PUT('/places/{id}', {
                        params: { path: { id: place?.id ?? id } },
                        body: {
                            ...typed,
                            name: typed.name.trim(),
                            parent_id: typed.parent_id || null,
                            setting: typed.setting || null,
                        },
                    }),
                );
                await client.invalidateQueries();
            }}
        >
            {(problem) => (
                <>
                    <Write
                        label={words.name}
                        value={typed.name}
                        onWrite={(name) => setTyped({ ...typed, name })}
                        problem={problem?.at('name')}
                        help={words.placeNameHelp}
                        slotProps={{ htmlInput: { maxLength: 120 } }}
                    />
                    <Choose
                        label={words.kindOfPlace}
                        value={typed.kind}
                        onChoose={(kind) => setTyped({ ...typed, kind: kinds.find((one) => one === kind) ?? 'spot' })}
                        options={kinds.map((kind) => [kind, words.kinds[kind]] as const)}
                    />
                    <Choose
                        label={words.setting}
                        value={typed.setting}
                        onChoose={(chosen) =>
                            setTyped({ ...typed, setting: settings.find(([one]) => one === chosen)?.[0] ?? '' })
                        }
                        options={settings}
                        helperText={words.settingHelp}
                    />
                    <SearchPlace
                        label={words.liesIn}
                        value={typed.parent_id}
                        without={place ? [place.id] : []}
                        placeholder={words.liesInNothing}
                        onChoose={(parent_id) => setTyped({ ...typed, parent_id })}
                        error={problem?.at('parent_id') !== undefined}
                        helperText={problem?.at('parent_id') ?? words.liesInHelp}
                    />
                </>
            )}
        </FormDialog>
    );
}
