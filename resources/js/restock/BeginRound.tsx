import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, isProblem } from '../api/client';
import { newId } from '../api/newId';
import { words as said } from './words';

const words = said.rounds;

/** Picks for the kits, so that nobody else is promised the same pieces, and begins to walk. */
export function BeginRound({ codes, store }: { codes: string[]; store: string }) {
    const navigate = useNavigate();
    const client = useQueryClient();
    const [id] = useState(newId);
    const begin = useMutation({
        mutationFn: () =>
            ask(api.PUT('/rounds/{id}', { params: { path: { id }, query: { kits: codes.join(','), store } } })),
        onSuccess: async (round) => {
            await client.invalidateQueries({ queryKey: ['rounds'] });
            void navigate(`/rounds/${round.id}`);
        },
    });
    return (
        <Box className="not-printed" sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'center', mb: 4 }}>
            <Button variant="contained" disabled={begin.isPending} onClick={() => begin.mutate()}>
                {words.begin}
            </Button>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {words.beginAbout}
            </Typography>
            {begin.error && (
                <Typography role="alert" color="error">
                    {isProblem(begin.error) ? (begin.error.at('kits') ?? begin.error.message) : String(begin.error)}
                </Typography>
            )}
        </Box>
    );
}
