import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../api/client';
import { upgraded } from '../offline/versions';
import { Missing } from '../restock/Missing';
import { useSession } from '../session/useSession';
import { Choose } from '../ui/Fields';
import { Page, Sheet, Trouble } from '../ui/Page';
import { count, sayInstant } from '../ui/words';
import { BUILD, beginBuild, beginnings, builds, type BuildDraft } from './draft';
import { EndBuild } from './HandOver';
import { words } from './words';

interface StartBuildProps {
    kit: Schemas['KitResource'];
    plan: Schemas['BuildPlan'];
    onStore: (store: string) => void;
}

const sumOf = (rows: { quantity: number }[]): number => rows.reduce((all, row) => all + row.quantity, 0);

/** What packing a kit anew means, before it is begun; or that somebody is at it. */
export function StartBuild({ kit, plan, onStore }: StartBuildProps) {
    const begin = () => {
        const draft = beginBuild(kit, plan);
        builds.keep(draft);
        beginnings.keep(draft);
    };
    return (
        <Page title={words.packKitAnew(kit.code, kit.name)}>
            {kit.build && <Others kit={kit} build={kit.build} />}
            <Sheet>
                <Typography sx={{ maxWidth: '68ch' }}>{words.whatItIs}</Typography>
                <Typography sx={{ my: 2, fontWeight: 600 }}>{words.notReadyMeanwhile(kit.code)}</Typography>
                <Typography>
                    {words.comesOut(
                        count(sumOf(plan.pieces), 'piece comes', 'pieces come'),
                        sumOf(plan.pieces) - sumOf(plan.pieces.flatMap((piece) => piece.back)),
                        sumOf(plan.restock.in),
                    )}
                </Typography>
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', mt: 3 }}>
                    {plan.restock.stores.length > 1 && (
                        <Choose
                            label={words.fromStore}
                            value={plan.restock.store}
                            onChoose={onStore}
                            options={plan.restock.stores.map((one) => [one.id, one.name] as const)}
                            sx={{ width: 240 }}
                        />
                    )}
                    <Button variant={kit.build ? 'outlined' : 'contained'} onClick={begin}>
                        {kit.build ? words.beginAnyway : words.begin}
                    </Button>
                </Box>
            </Sheet>
            <Missing missing={plan.restock.missing} />
        </Page>
    );
}

/** Somebody is at it, or has handed it over half done. */
function Others({ kit, build }: { kit: Schemas['KitResource']; build: Schemas['OpenBuild'] }) {
    const { timeZone, user } = useSession();
    const client = useQueryClient();
    const take = useMutation({
        mutationFn: () =>
            ask(
                api.POST('/kits/{kit}/builds/{id}/taking', {
                    params: { path: { kit: kit.code, id: build.id } },
                    body: { seen: build.taken_by_id },
                }),
            ),
        onSuccess: ({ version, work }) => {
            const draft = upgraded(BUILD, version, JSON.parse(work)) as BuildDraft | undefined;
            if (draft === undefined) {
                throw new Error(words.newerPage);
            }
            if (draft.id !== build.id || !Array.isArray(draft.pieces) || !Array.isArray(draft.puts)) {
                throw new Error(words.unreadable);
            }
            builds.keep({ ...draft, isWaiting: false, trouble: null, errors: {} });
            return client.invalidateQueries();
        },
    });
    const when = (at: string) => sayInstant(at, timeZone);
    const hasIt = build.taken_by !== null && build.taken_by_id !== user?.id ? build.taken_by : null;
    return (
        <Sheet>
            {build.left_by && build.left_at ? (
                <>
                    <Typography variant="h2">{words.handedOver(build.left_by, when(build.left_at))}</Typography>
                    <Typography>{words.pocketsPacked(build.pockets_packed, build.pockets)}</Typography>
                    {build.left_note && <Typography sx={{ my: 1 }}>“{build.left_note}”</Typography>}
                    {hasIt && build.taken_at && <Typography>{words.takenUp(hasIt, when(build.taken_at))}</Typography>}
                </>
            ) : (
                <>
                    <Typography variant="h2">{words.packedBy(build.by, when(build.begun_at))}</Typography>
                    <Typography>{words.onTheirDevice}</Typography>
                </>
            )}
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 3 }}>
                {build.left_by && (
                    <Button variant="contained" disabled={take.isPending} onClick={() => take.mutate()}>
                        {hasIt === null ? words.goOn : words.takeOver(hasIt)}
                    </Button>
                )}
                <EndBuild kit={kit} id={build.id} />
            </Box>
            {take.error && <Trouble error={take.error} />}
        </Sheet>
    );
}
