import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useNavigate, useParams } from 'react-router';
import { questions } from '../api/queries';
import { device } from '../offline/device';
import { beganAnew, lastSent } from '../offline/outbox';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Waiting } from '../ui/Page';
import { useListing } from '../ui/useListing';
import { GoodsRows } from './GoodsRows';
import { ShelfRows } from './ShelfRows';
import {
    asksWhy,
    beginStoreWork,
    comesIn,
    faultOf,
    finishStoreWork,
    isLoan,
    liesAs,
    storeTasks,
    storeWork,
    storeWorkId,
    type StoreDraft,
    type StoreTask,
} from './storeWork';
import { words } from './words';

/** Goods received, a shelf counted, pieces disposed of or moved: kept on this device while it is typed, sent when it is recorded. */
export default function StoreWorkPage() {
    const { id = '', task: named = '' } = useParams();
    const task = storeTasks.find((one) => one === named) ?? 'receive';
    // Another store or task is another page: nothing of the one is left in the other.
    return <Work key={`${id} ${task}`} id={id} task={task} />;
}

function Work({ id, task }: { id: string; task: StoreTask }) {
    const navigate = useNavigate();
    const listing = useListing(['q']);
    const { data, error } = useQuery({
        ...questions.store(id, { ...listing.asked, ...liesAs(task) }, listing.page),
        placeholderData: keepPreviousData,
        refetchOnWindowFocus: false,
    });
    const { data: stores } = useQuery({ ...questions.stores(), enabled: task === 'move' });
    const kept = useSyncExternalStore(device.subscribe, () => storeWork.of(id, task));
    const sent = useSyncExternalStore(device.subscribe, () => lastSent(storeWorkId(id, task)));
    const [sentBefore] = useState(sent);
    useEffect(() => {
        if (kept === null && sent !== null && sent !== sentBefore) {
            beganAnew(storeWorkId(id, task));
            void navigate(sent, { replace: true });
        }
    }, [kept, sent, sentBefore, id, task, navigate]);
    const fresh = useMemo(() => (data ? beginStoreWork(task, data) : null), [data, task]);
    const draft = kept ?? fresh;
    if (!data || !draft) {
        return <Waiting error={error} />;
    }
    const set = (to: (now: StoreDraft) => Partial<StoreDraft>) => {
        const now = storeWork.of(id, task) ?? draft;
        storeWork.keep({ ...now, errors: {}, trouble: null, isWaiting: false, ...to(now) });
    };
    const isReady =
        draft.rows.length > 0 &&
        draft.rows.every((row) => faultOf(row, task) === null) &&
        (task !== 'move' || draft.toStore !== '') &&
        (!asksWhy(task) || draft.reason.trim() !== '') &&
        (!isLoan(task) || (draft.partner.trim() !== '' && draft.dueOn !== ''));
    const hasReason = asksWhy(task) || task === 'count' || isLoan(task);
    return (
        <Page title={words.storeTitles[task](draft.storeName)} above={<span>{data.store.place}</span>}>
            {draft.isWaiting && <Notice>{words.savedAndWaiting}</Notice>}
            {draft.trouble && (
                <Notice>
                    <strong>{words.notRecorded}</strong>{' '}
                    {Object.keys(draft.errors).length > 0 ? words.seeTheRows : draft.trouble.detail}
                </Notice>
            )}
            <Box sx={{ maxWidth: 1100 }}>
                {words.storeAbout[task] && (
                    <Typography sx={{ color: 'text.secondary', mb: 3 }}>{words.storeAbout[task]}</Typography>
                )}
                {!comesIn(task) && (
                    <ShelfRows
                        task={task}
                        read={data}
                        listing={listing}
                        rows={draft.rows}
                        errors={draft.errors}
                        onChange={(rows) => set(() => ({ rows }))}
                    />
                )}
                {(comesIn(task) || task === 'count') && (
                    <GoodsRows
                        task={task}
                        rows={draft.rows}
                        errors={draft.errors}
                        onChange={(rows) => set(() => ({ rows }))}
                    />
                )}
                <Sheet title={words.record}>
                    {task === 'receive' && (
                        <Row columns="minmax(0, 1fr) minmax(0, 1fr)">
                            <Write
                                label={words.supplier}
                                value={draft.supplier}
                                onWrite={(supplier) => set(() => ({ supplier }))}
                                problem={draft.errors.supplier?.[0]}
                                help={words.ifKnown}
                            />
                            <Write
                                label={words.deliveryNote}
                                value={draft.deliveryNote}
                                onWrite={(deliveryNote) => set(() => ({ deliveryNote }))}
                                problem={draft.errors.delivery_note?.[0]}
                                help={words.ifKnown}
                            />
                        </Row>
                    )}
                    {task === 'move' && (
                        <Choose
                            label={words.toWhichStore}
                            value={draft.toStore}
                            empty={words.chooseAStore}
                            onChoose={(toStore) => set(() => ({ toStore }))}
                            options={(stores ?? [])
                                .filter((store) => store.id !== id)
                                .map((store) => [store.id, store.name] as const)}
                            error={draft.errors.to_store !== undefined}
                            helperText={draft.errors.to_store?.[0]}
                        />
                    )}
                    {isLoan(task) && (
                        <Row columns="minmax(0, 2fr) minmax(0, 1fr)">
                            <Write
                                label={task === 'lend' ? words.lentTo : words.borrowedFrom}
                                value={draft.partner}
                                onWrite={(partner) => set(() => ({ partner }))}
                                problem={draft.errors.partner?.[0]}
                                help={words.aTeam}
                                slotProps={{ htmlInput: { maxLength: 120 } }}
                            />
                            <Write
                                label={task === 'lend' ? words.toComeBackBy : words.toGiveBackBy}
                                type="date"
                                value={draft.dueOn}
                                onWrite={(dueOn) => set(() => ({ dueOn }))}
                                problem={draft.errors.due_on?.[0]}
                                slotProps={{ inputLabel: { shrink: true } }}
                            />
                        </Row>
                    )}
                    {task === 'set_apart' && (
                        <Tick
                            label={words.isRecall}
                            checked={draft.isRecall === true}
                            onTick={(isRecall) => set(() => ({ isRecall }))}
                        />
                    )}
                    {hasReason && (
                        <Write
                            label={words.storeReasons[task]}
                            value={draft.reason}
                            fullWidth
                            onWrite={(reason) => set(() => ({ reason }))}
                            problem={draft.errors.reason?.[0]}
                            help={words.storeReasonHelp[task]}
                            slotProps={{ htmlInput: { maxLength: 300 } }}
                        />
                    )}
                    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', mt: 3 }}>
                        <Button
                            variant="contained"
                            disabled={!isReady || draft.isWaiting}
                            onClick={() => storeWork.keep(finishStoreWork(storeWork.of(id, task) ?? draft))}
                        >
                            {words.storeDone[task]}
                        </Button>
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                            {draft.rows.length === 0 ? words.nothingEnteredYet : words.rowsEntered(draft.rows.length)}
                        </Typography>
                        {kept !== null && !draft.isWaiting && (
                            <Button
                                variant="text"
                                onClick={() => {
                                    storeWork.drop(draft);
                                    void navigate(`/stores/${id}`);
                                }}
                            >
                                {words.discardEntries}
                            </Button>
                        )}
                    </Box>
                </Sheet>
            </Box>
        </Page>
    );
}
