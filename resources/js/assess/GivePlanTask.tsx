import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { words } from './words';

/** Gives a task of the plan to somebody, with the day by which it is to be done. */
export function GivePlanTask({ task }: { task: Schemas['TaskResource'] }) {
    const client = useQueryClient();
    const { data: accounts } = useQuery(questions.accountChoices());
    const [given, setGiven] = useState({ user_id: '', due_on: '' });
    return (
        <FormDialog
            word={task.user ? words.giveToAnother : words.give}
            wordFor={`${task.user ? words.giveToAnother : words.give}: ${task.text}`}
            title={words.giveOf(task.text)}
            done={words.save}
            isReady={given.user_id === '' || given.due_on !== ''}
            onOpen={() => setGiven({ user_id: task.user?.id ?? '', due_on: task.due_on ?? '' })}
            save={async () => {
                const now = await ask(
                    api.PUT('/tasks/{task}/given', {
                        params: { path: { task: task.id } },
                        body: {
                            user_id: given.user_id || null,
                            due_on: given.user_id === '' ? null : given.due_on || null,
                        },
                    }),
                );
                client.setQueryData(['assessment', now.id], now);
                await client.invalidateQueries({ queryKey: ['kit-tasks'] });
            }}
        >
            {(problem) => (
                <>
                    <Choose
                        label={words.whoDoesIt}
                        value={given.user_id}
                        empty={words.nobody}
                        onChoose={(user_id) => setGiven({ ...given, user_id })}
                        options={(accounts ?? []).map((one) => [one.id, one.name] as const)}
                        error={problem?.at('user_id') !== undefined}
                        helperText={problem?.at('user_id')}
                    />
                    {given.user_id !== '' && (
                        <Write
                            label={words.byWhichDay}
                            type="date"
                            slotProps={{ inputLabel: { shrink: true } }}
                            value={given.due_on}
                            onWrite={(due_on) => setGiven({ ...given, due_on })}
                            problem={problem?.at('due_on')}
                        />
                    )}
                </>
            )}
        </FormDialog>
    );
}
