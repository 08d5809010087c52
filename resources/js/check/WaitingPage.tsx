import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState, useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { device } from '../offline/device';
import { isRefused, whyRefused } from '../offline/outbox';
import { ClosedWork } from '../session/ClosedWork';
import { useSession } from '../session/useSession';
import { Confirm } from '../ui/Confirm';
import { Empty, Page, Sheet } from '../ui/Page';
import { sayInstant } from '../ui/words';
import { ReleaseWork } from './ReleaseWork';
import { allWork, type Work } from './work';
import { words } from './words';

/** All work on this device that the server does not have: refused, waiting, or not signed yet. */
export default function WaitingPage() {
    const all = useSyncExternalStore(device.subscribe, allWork);
    const parts = [
        [words.notAccepted, all.filter((work) => isRefused(work.value))],
        [words.signedAndWaiting, all.filter((work) => work.value.isWaiting)],
        [words.notFinished, all.filter((work) => !work.value.isWaiting && !isRefused(work.value))],
    ] as const;
    return (
        <Page title={words.waitingToBeSent}>
            {all.length === 0 && (
                <Sheet title={words.nothingOfYours}>
                    <Empty>{words.nothingWaits}</Empty>
                </Sheet>
            )}
            {parts
                .filter(([, some]) => some.length > 0)
                .map(([title, some]) => (
                    <Sheet key={title} title={title}>
                        {some.map((work) => (
                            <One key={work.id} work={work} />
                        ))}
                    </Sheet>
                ))}
            <ClosedWork />
            <ReleaseWork />
        </Page>
    );
}

function One({ work }: { work: Work }) {
    const { timeZone } = useSession();
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 2 }} role="group" aria-label={work.title}>
            <Typography sx={{ fontWeight: 700 }}>{work.title}</Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {[work.startedAt && words.begunAt(sayInstant(work.startedAt, timeZone)), work.detail]
                    .filter(Boolean)
                    .join(', ')}
            </Typography>
            {isRefused(work.value) && <Typography>{whyRefused(work.value)}</Typography>}
            <Box sx={{ display: 'flex', gap: 2, mt: 2 }}>
                <Button component={Link} to={work.href} aria-label={`${words.goOn}: ${work.title}`}>
                    {words.goOn}
                </Button>
                {!work.value.isWaiting && <Discard work={work} />}
            </Box>
        </Box>
    );
}

/** What is discarded does not come back: it is asked first. */
function Discard({ work }: { work: Work }) {
    const [isAsked, setAsked] = useState(false);
    return (
        <>
            <Button variant="text" aria-label={`${words.discard}: ${work.title}`} onClick={() => setAsked(true)}>
                {words.discard}
            </Button>
            {isAsked && (
                <Confirm
                    question={words.discardsWork(work.title)}
                    word={words.discardForGood}
                    onClose={() => setAsked(false)}
                    onConfirm={() => device.remove(work.id)}
                />
            )}
        </>
    );
}
