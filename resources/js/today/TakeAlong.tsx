import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask } from '../api/client';
import { words } from './words';

/** Copies one's own kits, all places and open rounds to this device, so that they can be read without a network. */
export function TakeAlong() {
    const [done, setDone] = useState(0);
    const take = useMutation({
        mutationFn: async () => {
            const { addresses } = await ask(api.GET('/take-along'));
            setDone(0);
            for (const address of addresses) {
                const answer = await fetch(address, { headers: { Accept: 'application/json' } });
                if (!answer.ok) {
                    throw new Error(words.notAllTaken);
                }
                setDone((now) => now + 1);
            }
            return addresses.length;
        },
    });
    return (
        <>
            <Button
                onClick={() => take.mutate()}
                disabled={take.isPending}
                sx={{ whiteSpace: 'nowrap', flexShrink: 0 }}
            >
                {words.takeAlong}
            </Button>
            <Typography variant="body2" role="status" sx={{ color: 'text.secondary', alignSelf: 'center' }}>
                {take.isIdle && words.takeAlongAbout}
                {take.isPending && words.taking(done)}
                {take.isSuccess && words.taken(take.data)}
                {take.isError && words.notAllTaken}
            </Typography>
        </>
    );
}
