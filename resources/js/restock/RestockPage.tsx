import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo, useState, useSyncExternalStore } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { device } from '../offline/device';
import { useLeadOn } from '../offline/useLeadOn';
import { pocketName } from '../pack/VerdictSheet';
import { OpenKit } from '../ui/OpenKit';
import { Page, Sheet, Waiting } from '../ui/Page';
import { sayDay } from '../ui/words';
import { AddPut } from './Instead';
import { HeldBack, Missing } from './Missing';
import { RestockRow } from './RestockRow';
import { RestockInHand } from './RestockInHand';
import { BeginAnew, ChooseStore, FinishRestock, NothingToDo } from './RestockState';
import { beginRestock, restocks, type RestockDraft } from './draft';
import { addedStep, changed, stopsOf, waitsFor, type Step, type StepChange, type Stop } from './steps';
import { TwoColumns } from '../ui/TwoColumns';
import { words } from './words';

/** The pick list, walked pocket by pocket: what goes out, what goes in, confirmed lot by lot. */
export default function RestockPage() {
    const { code = '' } = useParams();
    const atDesk = useMediaQuery('(min-width:900px)');
    const { data: kit, error } = useQuery({ ...questions.kit(code), refetchOnWindowFocus: false });
    const [search] = useSearchParams();
    const round = search.get('round');
    const [store, setStore] = useState(search.get('store') ?? undefined);
    const kept = useSyncExternalStore(device.subscribe, () => restocks.of(code));
    const { data: plan, error: planError } = useQuery({
        ...questions.restock(code, store),
        placeholderData: keepPreviousData,
        refetchOnWindowFocus: false,
        // What was begun goes on with the list as it was read then.
        enabled: kept === null,
    });
    useLeadOn(restocks.idOf(code), kept !== null);
    const fresh = useMemo(() => (plan && kit ? beginRestock(kit, plan, round) : null), [kit, plan, round]);
    const draft = kept ?? fresh;
    if (!kit || !draft) {
        return <Waiting error={error ?? planError} />;
    }
    const walk = { kit, draft, stores: kept === null ? (plan?.stores ?? []) : [], onStore: setStore };
    return atDesk ? <AtDesk {...walk} /> : <RestockInHand {...walk} />;
}

export interface WalkProps {
    kit: Schemas['KitResource'];
    draft: RestockDraft;
    /** To choose from, while nothing is begun. */
    stores: Schemas['StoreRef'][];
    onStore: (store: string) => void;
}

/** What is done with a restock, wherever it is shown. */
export function useRestock(kit: Schemas['KitResource'], draft: RestockDraft) {
    const { steps } = draft;
    const stops = useMemo(() => stopsOf(steps), [steps]);
    const done = steps.filter((step) => step.isDone);
    const set = (to: (now: RestockDraft) => Partial<RestockDraft>) => {
        const now = restocks.of(kit.code) ?? draft;
        restocks.keep({ ...now, trouble: null, errors: {}, ...to(now) });
    };
    const each = (which: (step: Step) => boolean, to: StepChange) =>
        set((now) => ({ steps: changed(now.steps, which, to) }));
    return {
        stops,
        done,
        set,
        change: (key: string, to: StepChange) => each((step) => step.key === key, to),
        allOf: (stop: Stop) =>
            each((step) => !step.isAbsent && stop.steps.some((one) => one.key === step.key), { isDone: true }),
        all: () => each((step) => !step.isAbsent, { isDone: true }),
        add: (pocket: string, lot: Schemas['ShelfLot'], quantity: number) =>
            set((now) => ({ steps: [...now.steps, addedStep(now.steps, pocket, lot, quantity)] })),
        remove: (key: string) => set((now) => ({ steps: now.steps.filter((step) => step.key !== key) })),
        waits: (step: Step) => waitsFor(step, steps),
        errorOf: (step: Step) => {
            const at = done.filter((one) => one.way === step.way).findIndex((one) => one.key === step.key);
            return step.isDone ? draft.errors[`${step.way}.${at}.quantity`]?.[0] : undefined;
        },
        noteOf: (pocket: string) => {
            const own = steps.filter((step) => step.pocket === pocket);
            return own.length === 0 ? '' : words.ofDone(own.filter((step) => step.isDone).length, own.length);
        },
    };
}

function AtDesk({ kit, draft, stores, onStore }: WalkProps) {
    const { steps } = draft;
    const work = useRestock(kit, draft);
    const [chosen, setChosen] = useState<string>();
    const pocket = chosen ?? work.stops[0]?.pocket ?? kit.leaves[0]?.pockets[0]?.id ?? '';
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
                <>
                    <ChooseStore draft={draft} stores={stores} onStore={onStore} />
                    <Button component={Link} to={`/kits/${kit.code}`}>
                        {words.toTheKit}
                    </Button>
                </>
            }
        >
            <TwoColumns widths="1fr 1.1fr">
                <Box sx={{ minWidth: 0 }}>
                    <OpenKit
                        leaves={kit.leaves}
                        lines={kit.verdict.lines}
                        selected={pocket}
                        onSelect={setChosen}
                        note={work.noteOf}
                    />
                    <Missing missing={draft.missing} />
                    <HeldBack draft={draft} />
                </Box>
                <Box sx={{ minWidth: 0 }}>
                    {steps.length === 0 && <NothingToDo draft={draft} />}
                    {work.stops.map((stop, at) => (
                        <Sheet
                            key={stop.key}
                            title={words.stopOf(at + 1, pocketName(kit.leaves, stop.pocket))}
                            beside={
                                <Button size="small" onClick={() => work.allOf(stop)}>
                                    {words.allOfThisPocketDone}
                                </Button>
                            }
                        >
                            {stop.steps.map((step) => (
                                <RestockRow
                                    key={step.key}
                                    step={step}
                                    shelf={draft.shelf ?? []}
                                    onRemove={() => work.remove(step.key)}
                                    error={work.errorOf(step)}
                                    waits={work.waits(step)}
                                    onFocus={() => setChosen(stop.pocket)}
                                    onChange={(to) => work.change(step.key, to)}
                                />
                            ))}
                        </Sheet>
                    ))}
                    {(draft.shelf ?? []).length > 0 && (
                        <AddPut kit={kit} shelf={draft.shelf ?? []} pocket={pocket} onAdd={work.add} />
                    )}
                    {steps.length > 0 && (
                        <Sheet
                            title={words.ofDone(work.done.length, steps.length)}
                            beside={
                                <Button size="small" onClick={work.all}>
                                    {words.allDone}
                                </Button>
                            }
                        >
                            <FinishRestock kit={kit} draft={draft} set={work.set} />
                            <BeginAnew draft={draft} />
                        </Sheet>
                    )}
                </Box>
            </TwoColumns>
        </Page>
    );
}
