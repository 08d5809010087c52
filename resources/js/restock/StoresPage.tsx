import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Write } from '../ui/Fields';
import { AskDialog } from '../ui/AskDialog';
import { FormDialog } from '../ui/FormDialog';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { SearchPlace } from '../ui/Search';
import { count } from '../ui/words';
import { words } from './words';

/** The stores: added, renamed, put elsewhere, ended. */
export default function StoresPage() {
    const { data, error } = useQuery(questions.stores());
    const { may } = useSession();
    if (!data) {
        return <Waiting error={error} />;
    }
    return (
        <Page title={words.stores} beside={may('plan') && <StoreForm />}>
            <Box sx={{ maxWidth: 980 }}>
                <Sheet title={count(data.length, 'store')}>
                    {data.length === 0 && <Empty>{may('plan') ? words.addTheFirstStore : words.thereIsNoStore}</Empty>}
                    {data.map((store) => (
                        <Box
                            key={store.id}
                            sx={{
                                display: 'flex',
                                flexWrap: 'wrap',
                                gap: 2,
                                borderTop: 1,
                                borderColor: 'divider',
                                py: 1.5,
                            }}
                        >
                            <Box sx={{ flex: '1 1 260px', minWidth: 0 }}>
                                <Link to={`/stores/${store.id}`} style={{ color: 'inherit', fontWeight: 700 }}>
                                    {store.name}
                                </Link>
                                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                    {store.place} ·{' '}
                                    {words.piecesOfItems(count(store.pieces, 'piece'), count(store.items, 'item'))}
                                </Typography>
                            </Box>
                            {may('plan') && (
                                <Box sx={{ display: 'flex', gap: 1 }}>
                                    <StoreForm store={store} />
                                    <RetireStore store={store} />
                                </Box>
                            )}
                        </Box>
                    ))}
                </Sheet>
            </Box>
        </Page>
    );
}

function StoreForm({ store }: { store?: Schemas['StoreResource'] }) {
    const client = useQueryClient();
    const [id, setId] = useState(newId);
    const [typed, setTyped] = useState({ name: '', place_id: '' });
    return (
        <FormDialog
            word={store ? words.changeStore : words.addAStore}
            wordFor={store ? words.changeStoreOf(store.name) : undefined}
            look={store ? 'outlined' : 'contained'}
            title={store ? store.name : words.addAStore}
            done={store ? words.saveStore : words.addStore}
            onOpen={() => {
                setId(newId());
                setTyped({ name: store?.name ?? '', place_id: store?.place_id ?? '' });
            }}
            save={async () => {
                await ask(api.PUT('/stores/{id}', { params: { path: { id: store?.id ?? id } }, body: typed }));
                await client.invalidateQueries();
            }}
        >
            {(problem) => (
                <>
                    <Write
                        label={words.storeName}
                        value={typed.name}
                        onWrite={(name) => setTyped({ ...typed, name })}
                        problem={problem?.at('name')}
                    />
                    <SearchPlace
                        label={words.storePlace}
                        value={typed.place_id}
                        onChoose={(place_id) => setTyped({ ...typed, place_id })}
                        error={problem?.at('place_id') !== undefined}
                        helperText={problem?.at('place_id')}
                    />
                </>
            )}
        </FormDialog>
    );
}

function RetireStore({ store }: { store: Schemas['StoreResource'] }) {
    const client = useQueryClient();
    return (
        <AskDialog
            word={words.retire}
            title={words.retireStoreOf(store.name)}
            done={words.retire}
            about={words.retireStoreAbout}
            field="store"
            save={async () => {
                await ask(api.PUT('/stores/{store}/retirement', { params: { path: { store: store.id } } }));
                await client.invalidateQueries();
            }}
        />
    );
}
