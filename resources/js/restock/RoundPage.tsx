import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dailyQuestions } from '../api/dailyQuestions';
import { questions } from '../api/queries';
import { beginRestock, restocks } from './draft';
import { useSession } from '../session/useSession';
import { AskDialog } from '../ui/AskDialog';
import { Notice } from '../ui/Notice';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { ReasonDialog } from '../ui/ReasonDialog';
import { Table } from '../ui/Table';
import { TwoColumns } from '../ui/TwoColumns';
import { count, sayGoodUntil, sayInstant } from '../ui/words';
import { words as said } from './words';

const words = said.rounds;

type Round = Schemas['RoundResource'];
type RoundKit = Schemas['RoundKit'];

/** A round over several kits: what to take from the store, and the kits in walking order, each restocked pocket by pocket. */
export default function RoundPage() {
    const { id = '' } = useParams();
    const { data: round, error } = useQuery(dailyQuestions.round(id));
    const { may } = useSession();
    if (!round) {
        return <Waiting error={error} />;
    }
    const left = round.kits.filter((kit) => kit.done_at === null);
    return (
        <Page
            title={words.title(round.store_name)}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.about}</Typography>}
            beside={
                <>
                    <Button component={Link} to="/to-buy">
                        {words.toBuy}
                    </Button>
                    {may('restock') && !round.is_ended && <End round={round} />}
                </>
            }
        >
            {round.is_ended && <Notice>{words.isEnded}</Notice>}
            <TwoColumns widths="1.3fr 1fr">
                <Sheet title={`${words.kits}: ${words.doneOf(round.kits.length - left.length, round.kits.length)}`}>
                    {may('restock') && !round.is_ended && left.length > 0 && <TakeAlong round={round} left={left} />}
                    {round.kits.map((kit) => (
                        <KitLine key={kit.code} round={round} kit={kit} isNext={kit.code === left[0]?.code} />
                    ))}
                </Sheet>
                <Sheet title={words.box}>
                    {round.box.length === 0 ? <Empty>{words.nothingInBox}</Empty> : <Lots round={round} />}
                </Sheet>
            </TwoColumns>
        </Page>
    );
}

function Lots({ round }: { round: Round }) {
    return (
        <Table>
            <thead>
                <tr>
                    <th scope="col">{words.item}</th>
                    <th scope="col">{words.lot}</th>
                    <th scope="col" className="wide">
                        {words.expiry}
                    </th>
                    <th scope="col" className="n">
                        {words.pieces}
                    </th>
                </tr>
            </thead>
            <tbody>
                {round.box.map((row, at) => (
                    <tr key={at}>
                        <td>
                            {row.name}
                            {row.caution && <div>{words.caution(row.caution)}</div>}
                        </td>
                        <td>{row.lot ?? words.noLot}</td>
                        <td className="wide">{sayGoodUntil(row.good_until, null)}</td>
                        <td className="n">{row.quantity}</td>
                    </tr>
                ))}
            </tbody>
        </Table>
    );
}

function stateOf(kit: RoundKit, timeZone: string): string {
    if (kit.skipped_because !== null) {
        return `− ${words.skipped(kit.done_by ?? '', kit.skipped_because)}`;
    }
    if (kit.done_at !== null) {
        return `✓ ${words.done(kit.done_by ?? '', sayInstant(kit.done_at, timeZone))}`;
    }
    const missing = Math.max(0, kit.wanted - kit.pieces);
    return [
        words.inBox(count(kit.pieces, 'piece')),
        ...(missing > 0 ? [words.notInStore(count(missing, 'piece'))] : []),
    ].join(', ');
}

function KitLine({ round, kit, isNext }: { round: Round; kit: RoundKit; isNext: boolean }) {
    const { may, timeZone } = useSession();
    const isOpen = kit.done_at === null && !round.is_ended && may('restock');
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
            <Typography>
                <Link to={`/kits/${kit.code}`} style={{ color: 'inherit', fontWeight: 600 }}>
                    {kit.code} {kit.name}
                </Link>
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {kit.place} · {stateOf(kit, timeZone)}
            </Typography>
            {isOpen && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 1 }}>
                    <Button
                        component={Link}
                        to={`/kits/${kit.code}/restock?round=${round.id}&store=${round.store}`}
                        variant={isNext ? 'contained' : 'outlined'}
                        aria-label={words.restockOf(kit.code)}
                        sx={{ minHeight: 44 }}
                    >
                        {words.restock}
                    </Button>
                    <PassBy round={round} kit={kit} />
                </Box>
            )}
        </Box>
    );
}

/** The list of each kit begins on this device, as it is read now: it is walked without a network too. */
function TakeAlong({ round, left }: { round: Round; left: RoundKit[] }) {
    const client = useQueryClient();
    const take = useMutation({
        mutationFn: async () => {
            for (const { code } of left) {
                const kit = await client.query(questions.kit(code));
                const plan = await client.query(questions.restock(code, round.store));
                if (restocks.of(code) === null) {
                    restocks.keep(beginRestock(kit, plan, round.id));
                }
            }
        },
    });
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'center', mb: 2 }}>
            <Button disabled={take.isPending || take.isSuccess} onClick={() => take.mutate()}>
                {words.takeAlong}
            </Button>
            <Typography variant="body2" sx={{ color: 'text.secondary' }} role="status">
                {take.isSuccess ? words.takenAlong(count(left.length, 'kit')) : words.takeAlongAbout}
                {take.error && ` ${take.error.message}`}
            </Typography>
        </Box>
    );
}

function PassBy({ round, kit }: { round: Round; kit: RoundKit }) {
    const client = useQueryClient();
    return (
        <ReasonDialog
            word={words.passBy}
            title={words.passByOf(kit.code)}
            label={words.why}
            help={words.suchAs}
            save={async (reason) => {
                const now = await ask(
                    api.PUT('/rounds/{round}/kits/{kit}/skipping', {
                        params: { path: { round: round.id, kit: kit.code } },
                        body: { reason },
                    }),
                );
                client.setQueryData(dailyQuestions.round(round.id).queryKey, now);
                await client.invalidateQueries({ queryKey: ['rounds'] });
            }}
        />
    );
}

function End({ round }: { round: Round }) {
    const client = useQueryClient();
    return (
        <AskDialog
            word={words.end}
            title={words.end}
            done={words.end}
            about={words.endAbout}
            save={async () => {
                const now = await ask(api.PUT('/rounds/{round}/end', { params: { path: { round: round.id } } }));
                client.setQueryData(dailyQuestions.round(round.id).queryKey, now);
                await client.invalidateQueries({ queryKey: ['rounds'] });
            }}
        />
    );
}
