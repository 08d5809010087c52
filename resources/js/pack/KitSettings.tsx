import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { designQuestions } from '../api/designQuestions';
import { questions } from '../api/queries';
import { todayThere } from '../api/today';
import { Choose, Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Search, SearchPlace } from '../ui/Search';
import { isPast } from '../ui/limits';
import { sayScope } from '../ui/words';
import { words } from './words';

type Kit = Schemas['KitResource'];

const scopes = ['anyone', 'first_aider', 'trained', 'clinician'] as const;

/** What a lead does with a kit as such: its code, name and place, another one like it, its end. */
export function KitSettings({ kit }: { kit: Kit }) {
    return (
        <>
            <ChangeKit kit={kit} />
            <Button component={Link} to={`/kits/new?like=${kit.code}`}>
                {words.anotherLikeIt}
            </Button>
            <ChangeDesign kit={kit} />
            <RetireKit kit={kit} />
        </>
    );
}

function ChangeKit({ kit }: { kit: Kit }) {
    const client = useQueryClient();
    const navigate = useNavigate();
    const [typed, setTyped] = useState({ code: '', name: '', place_id: '', scope: 'first_aider' });
    return (
        <FormDialog
            word={words.renameOrMove}
            title={`${kit.code} ${kit.name}`}
            done={words.save}
            onOpen={() => setTyped({ code: kit.code, name: kit.name, place_id: kit.place.id, scope: kit.scope })}
            save={async () => {
                const changed = await ask(
                    api.PUT('/kits/{kit}', {
                        params: { path: { kit: kit.code } },
                        body: {
                            ...typed,
                            name: typed.name.trim(),
                            scope: scopes.find((one) => one === typed.scope) ?? 'first_aider',
                        },
                    }),
                );
                client.setQueryData(questions.kit(changed.code).queryKey, changed);
                await client.invalidateQueries();
                void navigate(`/kits/${changed.code}`, { replace: true });
            }}
        >
            {(problem) => (
                <>
                    <Write
                        label={words.code}
                        value={typed.code}
                        onWrite={(code) => setTyped({ ...typed, code: code.toUpperCase() })}
                        problem={problem?.at('code')}
                        help={words.oldCodeStays}
                    />
                    <Write
                        label={words.name}
                        value={typed.name}
                        onWrite={(name) => setTyped({ ...typed, name })}
                        problem={problem?.at('name')}
                    />
                    <SearchPlace
                        label={words.place}
                        value={typed.place_id}
                        onChoose={(place_id) => setTyped({ ...typed, place_id })}
                        error={problem?.at('place_id') !== undefined}
                        helperText={problem?.at('place_id')}
                    />
                    <Choose
                        label={words.forWord}
                        value={typed.scope}
                        onChoose={(scope) => setTyped({ ...typed, scope })}
                        options={scopes.map((scope) => [scope, sayScope(scope)] as const)}
                        helperText={words.whereNobodyIsPosted}
                    />
                </>
            )}
        </FormDialog>
    );
}

function ChangeDesign({ kit }: { kit: Kit }) {
    const navigate = useNavigate();
    const { data: designs } = useQuery(designQuestions.designs());
    const [edition, setEdition] = useState('');
    const others = (designs ?? []).filter((one) => one.code !== kit.design);
    return (
        <FormDialog
            word={words.changeDesign}
            title={words.changeDesignOf(kit.code)}
            done={words.seeWhatChanges}
            isReady={edition !== ''}
            onOpen={() => setEdition('')}
            save={async () => navigate(`/kits/${kit.code}/adoption?edition=${edition}`)}
        >
            {() => (
                <>
                    <Search
                        label={words.whichDesign}
                        value={edition}
                        onChoose={setEdition}
                        options={others.map((one) => [one.edition.id, one.name] as const)}
                        helperText={words.changeDesignAbout(kit.design_name)}
                    />
                </>
            )}
        </FormDialog>
    );
}

const ways = ['store', 'disposed', 'lost', 'with_kit'] as const;
type Way = (typeof ways)[number];

const keyOf = (row: Schemas['ContentResource']) =>
    `${row.pocket_id} ${row.lot_id} ${row.condition} ${row.opened_on ?? ''}`;

/** Takes a kit out of service, and asks where each piece goes. */
function RetireKit({ kit }: { kit: Kit }) {
    const client = useQueryClient();
    const [reason, setReason] = useState('');
    const [where, setWhere] = useState<Record<string, Way>>({});
    const proposed = (row: Schemas['ContentResource']): Way =>
        row.condition === 'good' && !isPast(row.good_until, todayThere()) ? 'store' : 'disposed';
    return (
        <FormDialog
            word={words.takeOutOfService}
            title={words.takeOutOfServiceOf(kit.code)}
            done={words.takeOutOfService}
            isReady={reason.trim() !== ''}
            onOpen={() => {
                setReason('');
                setWhere({});
            }}
            save={async () => {
                const retired = await ask(
                    api.PUT('/kits/{kit}/retirement', {
                        params: { path: { kit: kit.code } },
                        body: {
                            reason: reason.trim(),
                            // Rows that nobody changed are treated as proposed: good and in date to the store, others disposed of.
                            pieces: kit.contents.flatMap((row) => {
                                const to = where[keyOf(row)];
                                return to === undefined || row.lot_id === null
                                    ? []
                                    : [
                                          {
                                              pocket_id: row.pocket_id,
                                              lot_id: row.lot_id,
                                              condition: row.condition,
                                              opened_on: row.opened_on,
                                              to,
                                          },
                                      ];
                            }),
                        },
                    }),
                );
                client.setQueryData(questions.kit(kit.code).queryKey, retired);
                await client.invalidateQueries();
            }}
        >
            {(problem) => (
                <>
                    <Write
                        label={words.reason}
                        value={reason}
                        onWrite={setReason}
                        problem={problem?.at('reason') ?? problem?.at('kit') ?? problem?.at('pieces')}
                        help={words.whatIsGoodGoes}
                        slotProps={{ htmlInput: { maxLength: 200 } }}
                    />
                    {kit.contents.length > 1 && (
                        <Choose
                            label={words.allPieces}
                            value=""
                            empty={words.eachAsBelow}
                            onChoose={(chosen) => {
                                const way = ways.find((one) => one === chosen);
                                if (way) {
                                    setWhere(Object.fromEntries(kit.contents.map((row) => [keyOf(row), way])));
                                }
                            }}
                            options={ways.map((way) => [way, words.retiredTo[way]] as const)}
                            helperText={words.allPiecesHelp}
                        />
                    )}
                    {kit.contents.map((row) => (
                        <Choose
                            key={keyOf(row)}
                            label={`${row.quantity} × ${row.name}${row.lot === null ? '' : `, ${row.lot}`}`}
                            value={where[keyOf(row)] ?? proposed(row)}
                            onChoose={(chosen) => {
                                const way = ways.find((one) => one === chosen);
                                if (way) {
                                    setWhere({ ...where, [keyOf(row)]: way });
                                }
                            }}
                            options={ways.map((way) => [way, words.retiredTo[way]] as const)}
                            size="small"
                        />
                    ))}
                </>
            )}
        </FormDialog>
    );
}
