import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dailyQuestions } from '../api/dailyQuestions';
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
                                <td className="n">
                                    {level.least}
                                    <InPacks pieces={level.least} pack={level.pack} />
                                </td>
                                <td className="n wide">
                                    {level.target}
                                    <InPacks pieces={level.target} pack={level.pack} />
                                </td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            )}
            {may('plan') && <Proposed store={store} />}
        </Sheet>
    );
}

/** The same in whole packs, where the item comes in packs of several. */
function InPacks({ pieces, pack }: { pieces: number; pack: number | null }) {
    return pack === null ? null : (
        <Typography component="div" variant="caption" sx={{ color: 'text.secondary' }}>
            {words.inPacks(Math.ceil(pieces / pack), pack)}
        </Typography>
    );
}

/** What the uses of the last year ask for, where it differs from what is set; each is set with a press. */
function Proposed({ store }: { store: string }) {
    const client = useQueryClient();
    const [isOpen, setOpen] = useState(false);
    const { data } = useQuery({ ...dailyQuestions.proposedLevels(store), enabled: isOpen });
    const set = useMutation({
        mutationFn: (one: Schemas['ProposedLevel']) =>
            ask(
                api.PUT('/stores/{store}/levels/{item}', {
                    params: { path: { store, item: one.item } },
                    body: { least: one.least, target: one.target },
                }),
            ),
        onSuccess: async (levels) => {
            client.setQueryData(questions.storeLevels(store).queryKey, levels);
            await client.invalidateQueries({ queryKey: ['proposed-levels', store] });
            await client.invalidateQueries({ queryKey: ['to-buy'] });
        },
    });
    if (!isOpen) {
        return (
            <Button onClick={() => setOpen(true)} sx={{ mt: 3 }}>
                {words.proposeLevels}
            </Button>
        );
    }
    return (
        <Box sx={{ mt: 4 }}>
            <Typography variant="h3">{words.proposedLevels}</Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                {words.proposedAbout}
            </Typography>
            {data?.length === 0 && <Empty>{words.nothingProposed}</Empty>}
            {data?.map((one) => (
                <Box
                    key={one.item}
                    sx={{
                        display: 'flex',
                        flexWrap: 'wrap',
                        gap: 2,
                        alignItems: 'center',
                        borderTop: 1,
                        borderColor: 'divider',
                        py: 1.5,
                    }}
                >
                    <Box sx={{ flex: 1, minWidth: 200 }}>
                        <strong>{one.name}</strong>
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                            {words.proposedLine(one.least, one.target, one.restocks)}
                            {one.pack !== null && `, ${words.inPacks(Math.ceil(one.target / one.pack), one.pack)}`}
                            {one.least_now !== null &&
                                `. ${words.setNow(one.least_now, one.target_now ?? one.least_now)}`}
                        </Typography>
                    </Box>
                    <Button
                        size="small"
                        disabled={set.isPending}
                        aria-label={words.setProposed(one.name)}
                        onClick={() => set.mutate(one)}
                        sx={{ minHeight: 44 }}
                    >
                        {words.setThis}
                    </Button>
                </Box>
            ))}
            {set.error && (
                <Typography role="alert" color="error">
                    {set.error.message}
                </Typography>
            )}
        </Box>
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
