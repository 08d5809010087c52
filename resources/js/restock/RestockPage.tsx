import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { device } from '../offline/device';
import { beganAnew, lastSent } from '../offline/outbox';
import { pocketName } from '../pack/VerdictSheet';
import { OpenKit } from '../ui/OpenKit';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { count, sayDay } from '../ui/words';
import { Missing } from './Missing';
import { RestockRow } from './RestockRow';
import { BeginAnew, RestockTrouble } from './RestockState';
import { beginRestock, finish, piecesOf, restockId, restocks, type RestockDraft } from './draft';
import type { Step } from './steps';
import { Choose } from '../ui/Fields';
import { words } from './words';

/** The pick list, walked pocket by pocket: what goes out, what goes in, confirmed lot by lot. */
export default function RestockPage() {
    const { code = '' } = useParams();
    const navigate = useNavigate();
    const { data: kit, error } = useQuery({ ...questions.kit(code), refetchOnWindowFocus: false });
    const [store, setStore] = useState<string>();
    const kept = useSyncExternalStore(device.subscribe, () => restocks.of(code));
    const { data: plan, error: planError } = useQuery({
        ...questions.restock(code, store),
        placeholderData: keepPreviousData,
        refetchOnWindowFocus: false,
        // What was begun goes on with the list as it was read then.
        enabled: kept === null,
    });
    const sent = useSyncExternalStore(device.subscribe, () => lastSent(restockId(code)));
    const [sentBefore] = useState(sent);
    useEffect(() => {
        if (kept === null && sent !== null && sent !== sentBefore) {
            beganAnew(restockId(code));
            void navigate(sent, { replace: true });
        }
    }, [kept, sent, sentBefore, code, navigate]);
    const fresh = useMemo(() => (plan ? beginRestock(code, plan) : null), [code, plan]);
    const draft = kept ?? fresh;
    if (!kit || !draft) {
        return <Waiting error={error ?? planError} />;
    }
    return <Walk kit={kit} draft={draft} stores={kept === null ? (plan?.stores ?? []) : []} onStore={setStore} />;
}

interface WalkProps {
    kit: Schemas['KitResource'];
    draft: RestockDraft;
    /** To choose from, while nothing is begun. */
    stores: Schemas['StoreRef'][];
    onStore: (store: string) => void;
}

function Walk({ kit, draft, stores, onStore }: WalkProps) {
    const { steps, errors } = draft;
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
    const set = (to: Partial<RestockDraft>) => restocks.keep({ ...draft, trouble: null, errors: {}, ...to });
    const change = (key: string, to: Partial<Pick<Step, 'quantity' | 'isDone'>>) =>
        set({ steps: steps.map((step) => (step.key === key ? { ...step, ...to } : step)) });
    const errorOf = (step: Step) => {
        const at = done.filter((one) => one.way === step.way).findIndex((one) => one.key === step.key);
        return step.isDone ? errors[`${step.way}.${at}.quantity`]?.[0] : undefined;
    };
    const isSealed = kit.seal.state === 'intact';
    return (
        <Page
            title={words.restock3(kit.code, kit.name)}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {words.from}
                    {draft.storeName}
                    {words.whatGoesInMustBe}
                    {sayDay(draft.until)}.
                </Typography>
            }
            beside={
                <Box sx={{ display: 'flex', flexWrap: { xs: 'wrap', md: 'nowrap' }, gap: 2, alignItems: 'center' }}>
                    {stores.length > 1 && (
                        <Choose
                            label={words.store}
                            value={draft.store}
                            onChoose={onStore}
                            options={stores.map((one) => [one.id, one.name] as const)}
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
                    <Missing missing={draft.missing} />
                </Box>
                <Box sx={{ minWidth: 0 }}>
                    {steps.length === 0 && (
                        <Sheet title={words.nothingToRestock}>
                            <Empty>
                                {draft.missing.length > 0
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
                                        set({
                                            steps: steps.map((step) =>
                                                step.pocket === at ? { ...step, isDone: true } : step,
                                            ),
                                        })
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
                                        value={draft.sealReason}
                                        onChange={(event) => set({ sealReason: event.target.value })}
                                        error={errors.seal_reason !== undefined}
                                        helperText={errors.seal_reason?.[0] ?? words.aBrokenSealAsksFor}
                                    />
                                </Box>
                            )}
                            {kit.sealed_design && (
                                <TextField
                                    label={words.numberOfTheNewSeal}
                                    value={draft.sealSet}
                                    onChange={(event) => set({ sealSet: event.target.value })}
                                    error={errors.seal_set !== undefined}
                                    helperText={errors.seal_set?.[0] ?? words.leaveItEmptyIfThe}
                                    sx={{ mb: 3 }}
                                />
                            )}
                            <RestockTrouble draft={draft} />
                            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                                {words.onlyTickedStepsAreRecorded}{' '}
                                {done.length < steps.length &&
                                    words.notTicked(count(steps.length - done.length, 'step is', 'steps are'))}
                            </Typography>
                            <Button
                                variant="contained"
                                disabled={
                                    done.length === 0 || draft.isWaiting || done.some((step) => piecesOf(step) === null)
                                }
                                onClick={() => restocks.keep(finish(draft))}
                            >
                                {words.saveAndUpdateStatus}
                            </Button>
                            <BeginAnew draft={draft} />
                        </Sheet>
                    )}
                </Box>
            </Box>
        </Page>
    );
}
