import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { AskDialog } from '../ui/AskDialog';
import { FormDialog } from '../ui/FormDialog';
import { SearchPlace } from '../ui/Search';
import { count } from '../ui/words';
import { words } from './words';

type Place = Schemas['PlaceResource'];

/** A place that becomes part of another one: what follows it is said before it is done. */
export function MergePlace({ place }: { place: Place }) {
    const client = useQueryClient();
    const [into, setInto] = useState('');
    const [isOpen, setOpen] = useState(false);
    const { data: follows } = useQuery({ ...questions.merging(place.id), enabled: isOpen });
    return (
        <FormDialog
            word={words.merge}
            wordFor={words.mergeOf(place.name)}
            title={words.mergeOf(place.path)}
            done={words.mergePlaces}
            isReady={into !== '' && follows !== undefined}
            onOpen={() => {
                setInto('');
                setOpen(true);
            }}
            save={async () => {
                await ask(
                    api.PUT('/places/{place}/merging', { params: { path: { place: place.id } }, body: { into } }),
                );
                await client.invalidateQueries();
            }}
        >
            {(problem) => (
                <>
                    <SearchPlace
                        label={words.becomesPartOf}
                        value={into}
                        without={[place.id]}
                        onChoose={setInto}
                        error={problem?.at('into') !== undefined}
                        helperText={problem?.at('into')}
                    />
                    {follows && <Follows follows={follows} />}
                </>
            )}
        </FormDialog>
    );
}

function Follows({ follows }: { follows: Schemas['MergingResource'] }) {
    const said = [
        follows.kits.length > 0 && `${count(follows.kits.length, 'kit')} (${follows.kits.join(', ')})`,
        follows.stores.length > 0 && `${count(follows.stores.length, 'store')} (${follows.stores.join(', ')})`,
        follows.places.length > 0 && `${count(follows.places.length, 'place')} in it (${follows.places.join(', ')})`,
        follows.postings > 0 && words.postings(count(follows.postings, 'posting')),
        follows.cover_needs > 0 && words.coverNeeds,
        follows.areas.length > 0 && `${count(follows.areas.length, 'area')} (${follows.areas.join(', ')})`,
    ].filter((one) => one !== false);
    return <Typography>{said.length === 0 ? words.nothingFollows : words.follows(said.join('; '))}</Typography>;
}

export function RetirePlace({ place }: { place: Place }) {
    const client = useQueryClient();
    return (
        <AskDialog
            word={words.retire}
            title={words.retireOf(place.name)}
            done={words.retirePlace}
            about={words.retirePlaceAbout}
            field="place"
            save={async () => {
                await ask(api.PUT('/places/{place}/retirement', { params: { path: { place: place.id } } }));
                await client.invalidateQueries();
            }}
        />
    );
}
