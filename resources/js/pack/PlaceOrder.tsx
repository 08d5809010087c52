import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { api, ask, type Schemas } from '../api/client';
import { words } from './words';

interface PlaceOrderProps {
    place: Schemas['PlaceResource'];
    before: string | null;
    isFirst: boolean;
    after: string | undefined;
    look: object;
    children: ReactNode;
}

const DRAGGED = 'application/x-sarcina-place';

/** A row that is put earlier or later in the walk: by its buttons, or dragged onto the one that it comes after. */
export function PlaceOrder({ place, before, isFirst, after, look, children }: PlaceOrderProps) {
    const client = useQueryClient();
    const [isOver, setOver] = useState(false);
    const move = useMutation({
        mutationFn: ({ id, to }: { id: string; to: string | null }) =>
            ask(api.PUT('/places/{place}/order', { params: { path: { place: id } }, body: { after: to } })),
        onSuccess: () => client.invalidateQueries(),
    });
    return (
        <Box
            component="li"
            draggable
            onDragStart={(event) => event.dataTransfer.setData(DRAGGED, place.id)}
            onDragOver={(event) => {
                event.preventDefault();
                setOver(true);
            }}
            onDragLeave={() => setOver(false)}
            onDrop={(event) => {
                event.preventDefault();
                setOver(false);
                const id = event.dataTransfer.getData(DRAGGED);
                if (id !== '' && id !== place.id) {
                    move.mutate({ id, to: place.id });
                }
            }}
            sx={{ ...look, ...(isOver ? { boxShadow: 'inset 0 -3px 0 currentColor' } : {}) }}
        >
            <Box sx={{ display: 'flex', gap: 1 }}>
                <Button
                    size="small"
                    disabled={isFirst || move.isPending}
                    aria-label={words.earlier(place.name)}
                    onClick={() => move.mutate({ id: place.id, to: before })}
                    sx={{ minWidth: 44 }}
                >
                    ↑
                </Button>
                <Button
                    size="small"
                    disabled={after === undefined || move.isPending}
                    aria-label={words.later(place.name)}
                    onClick={() => move.mutate({ id: place.id, to: after ?? null })}
                    sx={{ minWidth: 44 }}
                >
                    ↓
                </Button>
            </Box>
            {children}
        </Box>
    );
}
