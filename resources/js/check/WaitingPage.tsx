import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSyncExternalStore } from 'react';
import { Link } from 'react-router';
import { useSession } from '../session/useSession';
import { Empty, Page, Sheet } from '../ui/Page';
import { count, sayInstant } from '../ui/words';
import { counted, isRefused, whyRefused, type Draft } from './draft';
import { drafts } from './drafts';
import { words } from './words';

/** Every check on this device that the server does not have: refused, waiting, or not signed yet. */
export default function WaitingPage() {
    const { user } = useSession();
    const all = useSyncExternalStore(drafts.subscribe, drafts.all);
    const own = all.filter((draft) => draft.user === user?.id);
    const parts = [
        [words.notAccepted, own.filter(isRefused)],
        [words.signedAndWaiting, own.filter((draft) => draft.isWaiting)],
        [words.notFinished, own.filter((draft) => !draft.isWaiting && !isRefused(draft))],
    ] as const;
    const others = all.length - own.length;
    return (
        <Page title={words.waitingToBeSent}>
            {own.length === 0 && (
                <Sheet title={words.waitingToBeSent}>
                    <Empty>{words.nothingWaits}</Empty>
                </Sheet>
            )}
            {parts
                .filter(([, some]) => some.length > 0)
                .map(([title, some]) => (
                    <Sheet key={title} title={title}>
                        {some.map((draft) => (
                            <One key={draft.id} draft={draft} />
                        ))}
                    </Sheet>
                ))}
            {others > 0 && <Typography>{words.ofOthers(count(others, 'check'))}</Typography>}
        </Page>
    );
}

function One({ draft }: { draft: Draft }) {
    const { timeZone } = useSession();
    const done = draft.rows.filter((row) => counted(row) !== null).length;
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 2 }} role="group" aria-label={words.check2(draft.kit)}>
            <Typography sx={{ fontWeight: 700 }}>{words.check2(draft.kit)}</Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {words.begunAt(sayInstant(draft.startedAt, timeZone))}
                {draft.kind === 'full' && `, ${words.countedOf(done, draft.rows.length)}`}
            </Typography>
            {isRefused(draft) && <Typography>{whyRefused(draft)}</Typography>}
            <Button
                component={Link}
                to={`/kits/${draft.kit}/check`}
                sx={{ mt: 2 }}
                aria-label={`${words.goOn}: ${draft.kit}`}
            >
                {words.goOn}
            </Button>
        </Box>
    );
}
