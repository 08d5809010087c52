import Box from '@mui/material/Box';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose, Row, Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Empty, Sheet } from '../ui/Page';
import { Search } from '../ui/Search';
import { Table } from '../ui/Table';
import { words } from './words';

type Level = Schemas['StoreLevel'];

/** How many pieces the store is to have of an item at least, and what is below it. */
export function Levels({ store }: { store: string }) {
    const { data } = useQuery(questions.storeLevels(store));
    const { may } = useSession();
    if (!data) {
        return null;
    }
    const below = data.filter((level) => level.there < level.least).length;
    return (
        <Sheet
            title={data.length === 0 ? words.levels : words.levelsBelow(below, data.length)}
            beside={may('plan') && <SetLevel store={store} />}
        >
            {data.length === 0 ? (
                <Empty>{words.noLevels}</Empty>
            ) : (
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">{words.item}</th>
                            <th scope="col" className="n">
                                {words.inTheStore}
                            </th>
                            <th scope="col" className="n">
                                {words.atLeast}
                            </th>
                            <th scope="col" className="n wide">
                                {words.fillUpTo}
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {data.map((level) => (
                            <tr key={level.item}>
                                <td>
                                    <Box
                                        component={Link}
                                        to={`/items/${level.item}`}
                                        sx={{ color: 'primary.main', fontWeight: 600 }}
                                    >
                                        {level.name}
                                    </Box>
                                    {level.there < level.least && <strong> ▲ {words.belowLeast}</strong>}
                                    {may('plan') && (
                                        <Box sx={{ mt: 1 }}>
                                            <SetLevel store={store} level={level} />
                                        </Box>
                                    )}
                                </td>
                                <td className="n">{level.there}</td>
                                <td className="n">{level.least}</td>
                                <td className="n wide">{level.target}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            )}
        </Sheet>
    );
}

function SetLevel({ store, level }: { store: string; level?: Level }) {
    const client = useQueryClient();
    const { data: items } = useQuery({ ...questions.itemChoices(), enabled: level === undefined });
    const [typed, setTyped] = useState({ item: '', least: '', target: '', does: 'set' });
    const isRemoved = typed.does === 'remove';
    const number = (text: string) => (/^\d{1,6}$/.test(text) ? Number(text) : null);
    return (
        <FormDialog
            word={level ? words.changeStore : words.addLevel}
            wordFor={level ? words.changeLevelOf(level.name) : words.addLevel}
            look="outlined"
            title={level ? words.levelOf(level.name) : words.addLevel}
            done={isRemoved ? words.removeLevel : words.saveStore}
            isReady={
                typed.item !== '' && (isRemoved || (number(typed.least) !== null && number(typed.target) !== null))
            }
            onOpen={() =>
                setTyped({
                    item: level?.item ?? '',
                    least: level ? String(level.least) : '',
                    target: level ? String(level.target) : '',
                    does: 'set',
                })
            }
            save={async () => {
                const levels = await ask(
                    api.PUT('/stores/{store}/levels/{item}', {
                        params: { path: { store, item: typed.item } },
                        body: isRemoved
                            ? { least: null, target: null }
                            : { least: number(typed.least), target: number(typed.target) },
                    }),
                );
                client.setQueryData(questions.storeLevels(store).queryKey, levels);
                await client.invalidateQueries({ queryKey: ['to-buy'] });
            }}
        >
            {(problem) => (
                <>
                    {level ? (
                        <Choose
                            label={words.theLevel}
                            value={typed.does}
                            onChoose={(does) => setTyped({ ...typed, does })}
                            options={[
                                ['set', words.setIt],
                                ['remove', words.removeIt],
                            ]}
                        />
                    ) : (
                        <Search
                            label={words.item}
                            value={typed.item}
                            onChoose={(item) => setTyped({ ...typed, item })}
                            options={(items ?? []).map((one) => [one.code, one.name] as const)}
                        />
                    )}
                    {!isRemoved && (
                        <Row columns="1fr 1fr">
                            <Write
                                label={words.atLeastPieces}
                                value={typed.least}
                                onWrite={(least) => setTyped({ ...typed, least: least.trim() })}
                                problem={problem?.at('least')}
                                slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 6 } }}
                            />
                            <Write
                                label={words.fillUpToPieces}
                                value={typed.target}
                                onWrite={(target) => setTyped({ ...typed, target: target.trim() })}
                                problem={problem?.at('target')}
                                slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 6 } }}
                            />
                        </Row>
                    )}
                </>
            )}
        </FormDialog>
    );
}
