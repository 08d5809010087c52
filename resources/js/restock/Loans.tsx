import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { dailyQuestions } from '../api/dailyQuestions';
import { useSession } from '../session/useSession';
import { Tick, Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Sheet } from '../ui/Page';
import { count, sayDay } from '../ui/words';
import { piecesTyped } from './storeWork';
import { words } from './words';

type Loan = Schemas['LoanResource'];

/** What of a store is lent or borrowed and has not come back; without a store, what is to come back soon. */
export function Loans({ store }: { store?: string }) {
    const { data: loans = [] } = useQuery(dailyQuestions.loans(store));
    if (loans.length === 0) {
        return null;
    }
    return (
        <Sheet title={words.loans}>
            {loans.map((loan) => (
                <LoanLine key={loan.id} loan={loan} isPlaced={store === undefined} />
            ))}
        </Sheet>
    );
}

function LoanLine({ loan, isPlaced }: { loan: Loan; isPlaced: boolean }) {
    const { may } = useSession();
    const of = loan.way === 'lent' ? words.backOf : words.givenBackOf;
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
            <Typography>
                <strong>{loan.way === 'lent' ? words.lentLine(loan.partner) : words.borrowedLine(loan.partner)}</strong>
                , {words.backBy(loan.way, sayDay(loan.due_on))}
                {loan.overdue_days > 0 && <strong> ▲ {words.overdueBy(count(loan.overdue_days, 'day'))}</strong>}
                {loan.note && `: ${loan.note}`}
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {isPlaced && (
                    <>
                        <Link to={`/stores/${loan.store}`} style={{ color: 'inherit' }}>
                            {loan.store_name}
                        </Link>
                        {' · '}
                    </>
                )}
                {loan.rows.map((row) => `${row.quantity} × ${row.name} (${of(row.back, row.quantity)})`).join(', ')}
            </Typography>
            {may('restock') && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 1 }}>
                    <CameBack loan={loan} />
                    <AnotherDay loan={loan} />
                </Box>
            )}
        </Box>
    );
}

function CameBack({ loan }: { loan: Loan }) {
    const client = useQueryClient();
    const [id, setId] = useState(newId);
    const [typed, setTyped] = useState<Record<string, string>>({});
    const [isFinal, setFinal] = useState(false);
    const [note, setNote] = useState('');
    const left = loan.rows.filter((row) => row.back < row.quantity);
    const rows = left.map((row) => ({ lot_id: row.lot_id, quantity: piecesTyped(typed[row.lot_id] ?? '') }));
    return (
        <FormDialog
            word={words.cameBack[loan.way]}
            wordFor={words.cameBackTitle[loan.way](loan.partner)}
            title={words.cameBackTitle[loan.way](loan.partner)}
            done={words.record}
            isReady={rows.every((row) => row.quantity !== null) && (!isFinal || note.trim() !== '')}
            onOpen={() => {
                setId(newId());
                setTyped(Object.fromEntries(left.map((row) => [row.lot_id, String(row.quantity - row.back)])));
                setFinal(false);
                setNote('');
            }}
            save={async () => {
                await ask(
                    api.PUT('/loans/{loan}/returns/{id}', {
                        params: { path: { loan: loan.id, id } },
                        body: {
                            rows: rows.map((row) => ({ lot_id: row.lot_id, quantity: row.quantity ?? 0 })),
                            final: isFinal,
                            note: note.trim() || null,
                        },
                    }),
                );
                await client.invalidateQueries();
            }}
        >
            {(problem) => (
                <>
                    {left.map((row) => (
                        <Write
                            key={row.lot_id}
                            label={words.howManyOf(row.name, row.quantity - row.back)}
                            value={typed[row.lot_id] ?? ''}
                            onWrite={(pieces) => setTyped({ ...typed, [row.lot_id]: pieces })}
                            problem={problem?.at('rows')}
                            help={row.lot ? words.lotNamed(row.lot) : words.noLot}
                            slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 6 } }}
                        />
                    ))}
                    <Tick label={words.nothingMore[loan.way]} checked={isFinal} onTick={setFinal} />
                    {isFinal && (
                        <Write
                            label={words.whyNothingMore}
                            value={note}
                            onWrite={setNote}
                            problem={problem?.at('note')}
                            slotProps={{ htmlInput: { maxLength: 300 } }}
                        />
                    )}
                </>
            )}
        </FormDialog>
    );
}

function AnotherDay({ loan }: { loan: Loan }) {
    const client = useQueryClient();
    const [day, setDay] = useState(loan.due_on);
    return (
        <FormDialog
            word={words.anotherDay}
            wordFor={words.anotherDayFor(loan.partner)}
            look="text"
            title={words.anotherDayFor(loan.partner)}
            done={words.saveStore}
            isReady={day !== ''}
            onOpen={() => setDay(loan.due_on)}
            save={async () => {
                await ask(api.PUT('/loans/{loan}/day', { params: { path: { loan: loan.id } }, body: { due_on: day } }));
                await client.invalidateQueries();
            }}
        >
            {(problem) => (
                <Write
                    label={loan.way === 'lent' ? words.toComeBackBy : words.toGiveBackBy}
                    type="date"
                    value={day}
                    onWrite={setDay}
                    problem={problem?.at('due_on')}
                    slotProps={{ inputLabel: { shrink: true } }}
                />
            )}
        </FormDialog>
    );
}
