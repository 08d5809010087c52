import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { newId } from '../api/newId';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { clockCheckedAt, timeNow } from '../api/clock';
import { questions } from '../api/queries';
import { pocketName } from '../pack/VerdictSheet';
import { OpenKit } from '../ui/OpenKit';
import { Empty, Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { count, sayDay } from '../ui/words';
import { Missing } from './Missing';
import { RestockRow } from './RestockRow';
import { stepsOf, type Step } from './steps';
import { Choose } from '../ui/Fields';
import { words } from './words';

/** The pick list, walked pocket by pocket: what goes out, what goes in, confirmed lot by lot. */
export default function RestockPage() {
    const { code = '' } = useParams();
    const { data: kit, error } = useQuery(questions.kit(code));
    const [store, setStore] = useState<string>();
    const { data: plan, error: planError } = useQuery({
        ...questions.restock(code, store),
        placeholderData: keepPreviousData,
        refetchOnWindowFocus: false,
    });
    if (!kit || !plan) {
        return <Waiting error={error ?? planError} />;
    }
    return (
        <Walk
            key={`${plan.store} ${plan.base.number} ${plan.in.length} ${plan.out.length}`}
            kit={kit}
            plan={plan}
            onStore={setStore}
        />
    );
}

interface WalkProps {
    kit: Schemas['KitResource'];
    plan: Schemas['RestockResource'];
    onStore: (store: string) => void;
}

function Walk({ kit, plan, onStore }: WalkProps) {
    const navigate = useNavigate();
    const client = useQueryClient();
    const [id] = useState(newId);
    const [begunAt] = useState(timeNow);
    const [steps, setSteps] = useState(() => stepsOf(plan));
    const [sealReason, setSealReason] = useState('');
    const [sealSet, setSealSet] = useState('');
    const pockets = useMemo(
        () =>
            kit.leaves
                .flatMap((leaf) => leaf.pockets.map((pocket) => pocket.id))
                .filter((pocket) => steps.some((step) => step.pocket === pocket)),
        [kit, steps],
    );
    const [chosen, setChosen] = useState<string>();
    const pocket = chosen ?? pockets[0] ?? kit.leaves[0]?.pockets[0]?.id ?? '';
    const done = steps.filter((step) => step.isDone);
    const finish = useMutation({
        mutationFn: () =>
            ask(
                api.PUT('/kits/{kit}/restocks/{id}', {
                    params: { path: { kit: kit.code, id } },
                    body: {
                        store: plan.store,
                        base: plan.base,
                        begun_at: begunAt,
                        done_at: timeNow(),
                        clock_checked_at: clockCheckedAt(),
                        out: done.flatMap((step) =>
                            step.way === 'out'
                                ? [
                                      {
                                          pocket_id: step.pocket,
                                          lot_id: step.row.lot_id,
                                          condition: step.row.condition,
                                          quantity: Number(step.quantity),
                                          to: step.row.to,
                                      },
                                  ]
                                : [],
                        ),
                        in: done.flatMap((step) =>
                            step.way === 'in'
                                ? [{ pocket_id: step.pocket, lot_id: step.row.lot_id, quantity: Number(step.quantity) }]
                                : [],
                        ),
                        seal_reason: sealReason || null,
                        seal_set: sealSet || null,
                    },
                }),
            ),
        onSuccess: async (renewed) => {
            client.setQueryData(questions.kit(kit.code).queryKey, renewed.kit);
            await client.invalidateQueries({ refetchType: 'none' });
            void navigate(`/kits/${kit.code}`);
        },
    });
    const problem = isProblem(finish.error) ? finish.error : null;
    const change = (key: string, to: Partial<Pick<Step, 'quantity' | 'isDone'>>) =>
        setSteps((now) => now.map((step) => (step.key === key ? { ...step, ...to } : step)));
    const errorOf = (step: Step) => {
        const at = done.filter((one) => one.way === step.way).findIndex((one) => one.key === step.key);
        return step.isDone ? problem?.at(`${step.way}.${at}.quantity`) : undefined;
    };
    const isSealed = kit.seal.state === 'intact';
    return (
        <Page
            title={words.restock3(kit.code, kit.name)}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {words.from}
                    {plan.store_name}
                    {words.whatGoesInMustBe}
                    {sayDay(plan.until)}.
                </Typography>
            }
            beside={
                <Box sx={{ display: 'flex', flexWrap: { xs: 'wrap', md: 'nowrap' }, gap: 2, alignItems: 'center' }}>
                    {plan.stores.length > 1 && done.length === 0 && (
                        <Choose
                            label={words.store}
                            value={plan.store}
                            onChoose={onStore}
                            options={plan.stores.map((one) => [one.id, one.name] as const)}
                            sx={{ width: 240 }}
                        />
                    )}
                    <Button component={Link} to={`/kits/${kit.code}`}>
                        {words.toTheKit}
                    </Button>
                </Box>
            }
        >
            <Box
                sx={{
                    display: 'grid',
                    gap: 4,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1.1fr)' },
                    alignItems: 'start',
                }}
            >
                <Box sx={{ minWidth: 0 }}>
                    <OpenKit
                        leaves={kit.leaves}
                        lines={kit.verdict.lines}
                        selected={pocket}
                        onSelect={setChosen}
                        note={(at) => {
                            const own = steps.filter((step) => step.pocket === at);
                            return own.length === 0
                                ? ''
                                : words.ofDone(own.filter((step) => step.isDone).length, own.length);
                        }}
                    />
                    <Missing plan={plan} />
                </Box>
                <Box sx={{ minWidth: 0 }}>
                    {steps.length === 0 && (
                        <Sheet title={words.nothingToRestock}>
                            <Empty>
                                {plan.missing.length > 0
                                    ? words.theStoreHasNothingThat
                                    : words.nothingIsMissingAndNothing}
                            </Empty>
                        </Sheet>
                    )}
                    {pockets.map((at) => (
                        <Sheet
                            key={at}
                            title={pocketName(kit.leaves, at)}
                            beside={
                                <Button
                                    size="small"
                                    onClick={() =>
                                        setSteps((now) =>
                                            now.map((step) => (step.pocket === at ? { ...step, isDone: true } : step)),
                                        )
                                    }
                                >
                                    {words.allOfThisPocketDone}
                                </Button>
                            }
                        >
                            {steps
                                .filter((step) => step.pocket === at)
                                .map((step) => (
                                    <RestockRow
                                        key={step.key}
                                        step={step}
                                        error={errorOf(step)}
                                        onFocus={() => setChosen(at)}
                                        onChange={(to) => change(step.key, to)}
                                    />
                                ))}
                        </Sheet>
                    ))}
                    {steps.length > 0 && (
                        <Sheet title={words.ofDone(done.length, steps.length)}>
                            {isSealed && (
                                <Box sx={{ display: 'grid', gap: 3, my: 3 }}>
                                    <TextField
                                        label={words.whySealWasBroken(kit.seal.number ?? '')}
                                        value={sealReason}
                                        onChange={(event) => setSealReason(event.target.value)}
                                        error={problem?.at('seal_reason') !== undefined}
                                        helperText={problem?.at('seal_reason') ?? words.aBrokenSealAsksFor}
                                    />
                                </Box>
                            )}
                            {kit.sealed_design && (
                                <TextField
                                    label={words.numberOfTheNewSeal}
                                    value={sealSet}
                                    onChange={(event) => setSealSet(event.target.value)}
                                    error={problem?.at('seal_set') !== undefined}
                                    helperText={problem?.at('seal_set') ?? words.leaveItEmptyIfThe}
                                    sx={{ mb: 3 }}
                                />
                            )}
                            {problem && <Trouble error={problem} />}
                            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                                {words.onlyTickedStepsAreRecorded}{' '}
                                {done.length < steps.length &&
                                    words.notTicked(count(steps.length - done.length, 'step is', 'steps are'))}
                            </Typography>
                            <Button
                                variant="contained"
                                disabled={done.length === 0 || finish.isPending}
                                onClick={() => finish.mutate()}
                            >
                                {words.saveAndUpdateStatus}
                            </Button>
                        </Sheet>
                    )}
                </Box>
            </Box>
        </Page>
    );
}
