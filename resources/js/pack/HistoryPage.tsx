import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useInfiniteQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { useSession } from '../session/useSession';
import { Choose } from '../ui/Fields';
import { ExportSheet } from '../ui/Listing';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { useListing } from '../ui/useListing';
import { VerdictMark } from '../ui/VerdictMark';
import { count, sayInstant } from '../ui/words';
import { words } from './words';

const kinds = [
    ['checks', words.onlyChecks],
    ['contents', words.onlyContents],
    ['seals', words.onlySeals],
    ['changes', words.onlyChanges],
] as const;

/** Every check and movement of a kit: who, when, why. Nothing here is ever changed. */
export default function HistoryPage() {
    const { code = '' } = useParams();
    const listing = useListing(['only']);
    const only = kinds.map(([kind]) => kind).find((kind) => kind === listing.get('only'));
    const { may } = useSession();
    const { data, error, hasNextPage, fetchNextPage, isFetchingNextPage } = useInfiniteQuery({
        queryKey: ['history', code, only],
        queryFn: ({ pageParam }) =>
            ask(
                api.GET('/kits/{kit}/history', {
                    params: {
                        path: { kit: code },
                        query: { ...(pageParam !== null && { before: pageParam }), ...(only && { only }) },
                    },
                }),
            ),
        initialPageParam: null as number | null,
        getNextPageParam: (last) => last.before,
    });
    const first = data?.pages[0];
    if (!first) {
        return <Waiting error={error} />;
    }
    const entries = data.pages.flatMap((page) => page.entries);
    return (
        <Page
            title={words.historyOf(first.kit, first.kit_name)}
            beside={
                <>
                    <Choose
                        label={words.show}
                        value={only ?? ''}
                        empty={words.all}
                        onChoose={(to) => listing.set({ only: to })}
                        options={kinds}
                        sx={{ width: 250 }}
                    />
                    {may('export') && <ExportSheet listing={listing} path={`/kits/${code}/history`} />}
                    <Button component={Link} to={`/kits/${code}`}>
                        {words.toTheKit}
                    </Button>
                </>
            }
        >
            <Sheet>
                {entries.length === 0 && (
                    <Empty>{only ? words.nothingOfThisKind : words.nothingIsRecordedForThis}</Empty>
                )}
                {entries.map((entry, index) => (
                    <Entry key={`${entry.at} ${entry.kind} ${index}`} entry={entry} />
                ))}
            </Sheet>
            {hasNextPage && (
                <Button onClick={() => void fetchNextPage()} disabled={isFetchingNextPage}>
                    {words.showEarlierEntries}
                </Button>
            )}
        </Page>
    );
}

function Entry({ entry }: { entry: Schemas['HistoryEntry'] }) {
    const { timeZone } = useSession();
    return (
        <Box
            sx={{
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '190px minmax(0, 1fr)' },
                gap: '2px 20px',
                py: 3,
                borderBottom: 1,
                borderColor: 'divider',
                '&:last-of-type': { borderBottom: 0 },
            }}
        >
            <Typography sx={{ color: 'text.secondary' }}>{sayInstant(entry.at, timeZone)}</Typography>
            <div>
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '2px 12px', alignItems: 'center' }}>
                    <Typography component="span" sx={{ fontWeight: 700 }}>
                        {entry.check ? (
                            <Link to={`/checks/${entry.check.id}`} style={{ color: 'inherit' }}>
                                {entry.title}
                            </Link>
                        ) : (
                            entry.title
                        )}
                    </Typography>
                    <span>by {entry.by}</span>
                    {entry.check && <VerdictMark verdict={entry.check.verdict} />}
                </Box>
                {entry.notes.map((note) => (
                    <Typography key={note} variant="body2">
                        {note}
                    </Typography>
                ))}
                {entry.check && entry.movements.length === 0 && (
                    <Typography variant="body2">{words.allAsRecorded}</Typography>
                )}
                <Movements movements={entry.movements} />
            </div>
        </Box>
    );
}

function Movements({ movements }: { movements: Schemas['MovementResource'][] }) {
    const rows = (
        <Box component="ul" sx={{ m: 0, pl: 4, fontSize: 14 }}>
            {movements.map((movement, index) => (
                <li key={index}>
                    {movement.quantity} × {movement.name}
                    {movement.lot && words.lot(movement.lot)}: {movement.text}
                </li>
            ))}
        </Box>
    );
    return movements.length > 8 ? (
        <details>
            <Box component="summary" sx={{ cursor: 'pointer', minHeight: 32 }}>
                {count(movements.length, 'movement')}
            </Box>
            {rows}
        </details>
    ) : (
        rows
    );
}
