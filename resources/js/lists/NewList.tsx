import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, isProblem } from '../api/client';
import { questions } from '../api/queries';
import { Row, Write } from '../ui/Fields';
import { Sheet, Trouble } from '../ui/Page';
import { Search } from '../ui/Search';
import { listOptions } from '../ui/words';
import { words } from './words';

/** A house list, empty or copied from another, to be changed line by line. */
export function NewList({ onClose }: { onClose: () => void }) {
    const { data: lists = [] } = useQuery(questions.listChoices());
    const navigate = useNavigate();
    const client = useQueryClient();
    const [code, setCode] = useState('');
    const [title, setTitle] = useState('');
    const [from, setFrom] = useState('');
    const make = useMutation({
        mutationFn: () => ask(api.POST('/lists', { body: { code, title, from: from || null } })),
        onSuccess: async (made) => {
            client.setQueryData(['list', made.id], made);
            await client.invalidateQueries({ queryKey: ['lists'] });
            void navigate(`/lists/${made.id}/edit`);
        },
    });
    const problem = isProblem(make.error) ? make.error : null;
    return (
        <Sheet title={words.newHouseList}>
            <Box
                component="form"
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    make.mutate();
                }}
            >
                <Row columns="repeat(3, minmax(0, 1fr))">
                    <Write
                        label={words.title}
                        value={title}
                        onWrite={setTitle}
                        problem={problem?.at('title')}
                        help={words.suchAsRiverWalkPouch}
                    />
                    <Write
                        label={words.code}
                        value={code}
                        onWrite={(typed) => setCode(typed.toLowerCase())}
                        problem={problem?.at('code')}
                        help={words.suchAsRiverWalkFiles}
                    />
                    <Search
                        label={words.copiedFrom2}
                        value={from}
                        placeholder={words.noneBeginWithAnEmpty}
                        onChoose={setFrom}
                        options={listOptions(lists)}
                    />
                </Row>
                <Box sx={{ display: 'flex', gap: 2 }}>
                    <Button type="submit" variant="contained" disabled={make.isPending}>
                        {words.createList}
                    </Button>
                    <Button onClick={onClose}>{words.cancel}</Button>
                </Box>
                {problem && problem.status !== 422 && <Trouble error={problem} />}
            </Box>
        </Sheet>
    );
}
