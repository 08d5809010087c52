import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Row, Tick, Write } from '../ui/Fields';
import { Group } from '../ui/Group';
import { Empty, Sheet, Trouble } from '../ui/Page';
import { sayWeekdays, weekdayNames } from '../ui/words';
import { useForeseen } from '../ui/Foreseen';
import { words } from './words';

type Shift = Schemas['KeptShifts']['shifts'][number];

function sayHours({ weekdays, from, to }: Schemas['ShiftResource']): string {
    return (to <= from ? words.shiftOvernight : words.shiftHours)(sayWeekdays(weekdays), from, to);
}

/** The shifts in which people serve: their names, days and hours. */
export function ShiftsSheet() {
    const { data: shifts } = useQuery(questions.shifts());
    const [edited, setEdited] = useState<Shift[] | null>(null);
    return (
        <Sheet title={words.shifts}>
            {edited === null ? (
                <>
                    {shifts?.length === 0 && <Empty>{words.noShiftsYet}</Empty>}
                    <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
                        {shifts?.map((shift) => (
                            <Box component="li" key={shift.name} sx={{ py: 1 }}>
                                <strong>{shift.name}</strong>: {sayHours(shift)}
                                {shift.now && <strong>{words.onNow}</strong>}
                            </Box>
                        ))}
                    </Box>
                    {shifts && (
                        <Button
                            sx={{ mt: 2 }}
                            onClick={() =>
                                setEdited(
                                    shifts.map(({ name, weekdays, from, to }) => ({
                                        was: name,
                                        name,
                                        weekdays,
                                        from,
                                        to,
                                    })),
                                )
                            }
                        >
                            {words.changeShifts}
                        </Button>
                    )}
                </>
            ) : (
                <ShiftsForm shifts={edited} onChange={setEdited} onDone={() => setEdited(null)} />
            )}
        </Sheet>
    );
}

interface ShiftsFormProps {
    shifts: Shift[];
    onChange: (shifts: Shift[]) => void;
    onDone: () => void;
}

function ShiftsForm({ shifts, onChange, onDone }: ShiftsFormProps) {
    const client = useQueryClient();
    const keep = useForeseen({
        write: (headers) => ask(api.PUT('/shifts', { body: { shifts }, headers })),
        onSuccess: async () => {
            await client.invalidateQueries();
            onDone();
        },
    });
    const problem = isProblem(keep.error) ? keep.error : null;
    const set = (at: number, to: Partial<Shift>) =>
        onChange(shifts.map((shift, index) => (index === at ? { ...shift, ...to } : shift)));
    return (
        <Box
            component="form"
            noValidate
            onSubmit={(event) => {
                event.preventDefault();
                keep.begin();
            }}
        >
            {shifts.map((shift, at) => (
                <Group key={at} legend={shift.name || words.newShift}>
                    <Row columns="minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1fr) auto">
                        <Write
                            label={words.name}
                            value={shift.name}
                            onWrite={(name) => set(at, { name })}
                            problem={problem?.at(`shifts.${at}.name`)}
                        />
                        <Write
                            label={words.from}
                            type="time"
                            slotProps={{ inputLabel: { shrink: true } }}
                            value={shift.from}
                            onWrite={(from) => set(at, { from })}
                            problem={problem?.at(`shifts.${at}.from`)}
                        />
                        <Write
                            label={words.to}
                            type="time"
                            slotProps={{ inputLabel: { shrink: true } }}
                            value={shift.to}
                            onWrite={(to) => set(at, { to })}
                            problem={problem?.at(`shifts.${at}.to`)}
                            help={shift.to !== '' && shift.to <= shift.from ? words.onTheNextDay : undefined}
                        />
                        <Button
                            aria-label={words.removeShift(shift.name || String(at + 1))}
                            onClick={() => onChange(shifts.filter((_, index) => index !== at))}
                        >
                            {words.remove3}
                        </Button>
                    </Row>
                    <Box role="group" aria-label={words.beginsOn} sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
                        {weekdayNames.map((day, index) => (
                            <Tick
                                key={day}
                                label={day}
                                checked={shift.weekdays.includes(index + 1)}
                                onTick={(on) =>
                                    set(at, {
                                        weekdays: on
                                            ? [...shift.weekdays, index + 1].sort()
                                            : shift.weekdays.filter((one) => one !== index + 1),
                                    })
                                }
                            />
                        ))}
                    </Box>
                    {problem?.at(`shifts.${at}.weekdays`) && (
                        <Box role="alert">{problem.at(`shifts.${at}.weekdays`)}</Box>
                    )}
                </Group>
            ))}
            {problem?.at('shifts') && <Box role="alert">{problem.at('shifts')}</Box>}
            {problem && problem.status !== 422 && <Trouble error={problem} />}
            <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', mt: 3 }}>
                <Button
                    onClick={() =>
                        onChange([...shifts, { was: null, name: '', weekdays: [1, 2, 3, 4, 5], from: '', to: '' }])
                    }
                >
                    {words.addAShift}
                </Button>
                <Button type="submit" variant="contained" disabled={keep.isPending}>
                    {words.save}
                </Button>
                <Button onClick={onDone}>{words.cancel}</Button>
            </Box>
            {keep.dialog}
        </Box>
    );
}
