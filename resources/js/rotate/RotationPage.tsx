import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { dailyQuestions } from '../api/dailyQuestions';
import { useSession } from '../session/useSession';
import { AskDialog } from '../ui/AskDialog';
import { Notice } from '../ui/Notice';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { ReasonDialog } from '../ui/ReasonDialog';
import { count, sayDay, sayMoney } from '../ui/words';
import { words } from './words';

type Plan = Schemas['RotationResource'];
type Move = Schemas['MoveResource'];

/** What would expire unused where it lies, and is used where it could lie: proposed, agreed to, and carried out move by move. */
export default function RotationPage() {
    const { data: plan, error } = useQuery(dailyQuestions.rotation());
    const { may } = useSession();
    if (!plan) {
        return <Waiting error={error} />;
    }
    const left = plan.moves.filter((move) => !move.is_done && move.dropped_because === null).length;
    return (
        <Page
            title={words.title}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.about}</Typography>}
            beside={
                <>
                    <Button component={Link} to="/dates-ahead">
                        {words.datesAhead}
                    </Button>
                    <Button onClick={() => window.print()}>{words.print}</Button>
                    {plan.id !== null && may('restock') && <End plan={plan} />}
                </>
            }
        >
            <Box sx={{ maxWidth: 980 }}>
                <Sheet>
                    <Typography variant="h2">
                        {plan.saved === 0
                            ? words.nothingSaved
                            : words.saves(count(plan.saved, 'piece'), sayMoney(plan.value, plan.currency))}
                    </Typography>
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {plan.id === null
                            ? words.stillWasted(count(plan.wasted, 'piece'))
                            : words.agreedBy(plan.made_by ?? '', sayDay(plan.made_on ?? ''), left, plan.moves.length)}
                    </Typography>
                    {plan.id === null && plan.saved > 0 && may('restock') && <Agree />}
                </Sheet>
                <Notice>{words.leftOut}</Notice>
                {plan.moves.length > 0 && (
                    <Sheet title={plan.id === null ? words.proposed : words.toCarryOut}>
                        {plan.moves.map((move, at) => (
                            <MoveLine key={move.id ?? at} move={move} />
                        ))}
                    </Sheet>
                )}
                {plan.moves.length === 0 && <Empty>{words.noMoves}</Empty>}
            </Box>
        </Page>
    );
}

function MoveLine({ move }: { move: Move }) {
    const { may } = useSession();
    const isOpen = move.id !== null && !move.is_done && move.dropped_because === null;
    const link = { color: 'inherit' };
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
            <Typography>
                <strong>{move.quantity} ×</strong> {move.name}, {move.lot ? words.lot(move.lot) : words.noLot}
                {move.good_until && `, ${words.expires(sayDay(move.good_until))}`}
            </Typography>
            <Typography variant="body2">
                {words.from}{' '}
                <Link to={`/kits/${move.from}`} style={link}>
                    {move.from}
                </Link>{' '}
                ({move.from_place}) {words.to}{' '}
                <Link to={`/kits/${move.to}`} style={link}>
                    {move.to}
                </Link>{' '}
                ({move.to_place})
            </Typography>
            {move.is_done && (
                <Typography variant="body2">
                    <strong>✓ {words.done}</strong>
                </Typography>
            )}
            {move.dropped_because !== null && (
                <Typography variant="body2">
                    <strong>− {words.dropped}</strong>: {move.dropped_because}
                </Typography>
            )}
            {isOpen && may('restock') && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 1 }}>
                    <CarryOut move={move} />
                    <Drop move={move} />
                </Box>
            )}
        </Box>
    );
}

function useRenewed() {
    const client = useQueryClient();
    return async (plan: Plan) => {
        client.setQueryData(dailyQuestions.rotation().queryKey, plan);
        await client.invalidateQueries();
    };
}

function Agree() {
    const renewed = useRenewed();
    const [id] = useState(newId);
    const agree = useMutation({
        mutationFn: () => ask(api.PUT('/rotations/{id}', { params: { path: { id } } })),
        onSuccess: renewed,
    });
    return (
        <Box sx={{ mt: 3 }}>
            <Button variant="contained" disabled={agree.isPending} onClick={() => agree.mutate()}>
                {words.agree}
            </Button>
            {agree.error && (
                <Typography role="alert" color="error">
                    {isProblem(agree.error) ? (agree.error.at('rotation') ?? agree.error.message) : String(agree.error)}
                </Typography>
            )}
        </Box>
    );
}

function CarryOut({ move }: { move: Move }) {
    const renewed = useRenewed();
    const [id, setId] = useState(newId);
    const what = words.moveOf(move.quantity, move.name, move.from, move.to);
    return (
        <AskDialog
            word={words.moved}
            title={what}
            done={words.recordMove}
            about={words.floatAbout(move.from)}
            field="move"
            save={async () => {
                await renewed(
                    await ask(
                        api.PUT('/rotation-moves/{move}/operations/{id}', {
                            params: { path: { move: move.id ?? '', id } },
                        }),
                    ),
                );
                setId(newId());
            }}
        />
    );
}

function Drop({ move }: { move: Move }) {
    const renewed = useRenewed();
    return (
        <ReasonDialog
            word={words.leaveOut}
            title={words.leaveOutOf(move.name, move.from)}
            label={words.why}
            help={words.suchAs}
            save={async (reason) =>
                renewed(
                    await ask(
                        api.PUT('/rotation-moves/{move}/dropping', {
                            params: { path: { move: move.id ?? '' } },
                            body: { reason },
                        }),
                    ),
                )
            }
        />
    );
}

function End({ plan }: { plan: Plan }) {
    const renewed = useRenewed();
    return (
        <AskDialog
            word={words.endPlan}
            title={words.endPlan}
            done={words.endPlan}
            about={words.endAbout}
            save={async () =>
                renewed(
                    await ask(api.PUT('/rotations/{rotation}/end', { params: { path: { rotation: plan.id ?? '' } } })),
                )
            }
        />
    );
}
