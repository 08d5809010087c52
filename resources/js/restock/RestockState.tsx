import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { restocks, type RestockDraft } from './draft';
import { words } from './words';

/** Why the server did not take it, and that it waits. */
export function RestockTrouble({ draft }: { draft: RestockDraft }) {
    return (
        <>
            {draft.trouble && (
                <Box
                    role="alert"
                    sx={{ border: 1, borderLeft: 6, borderColor: 'error.main', borderRadius: '6px', p: 3, my: 3 }}
                >
                    <Typography sx={{ fontWeight: 700 }}>{draft.trouble.title}</Typography>
                    <Typography>{draft.trouble.detail}</Typography>
                    {draft.trouble.changes.map((one) => (
                        <Typography key={one}>{one}</Typography>
                    ))}
                </Box>
            )}
            {draft.isWaiting && (
                <Typography role="status" sx={{ my: 3 }}>
                    {words.savedAndWaiting}
                </Typography>
            )}
        </>
    );
}

/** The list as it is now, instead of the one that was begun: asked for twice, since what was ticked goes. */
export function BeginAnew({ draft }: { draft: RestockDraft }) {
    const [isAsked, setAsked] = useState(false);
    if (draft.isWaiting || restocks.of(draft.kit) === null) {
        return null;
    }
    return (
        <Button
            variant="text"
            color={isAsked ? 'error' : 'primary'}
            onClick={() => (isAsked ? restocks.drop(draft.kit) : setAsked(true))}
        >
            {isAsked ? words.discardTicks : words.readListAnew}
        </Button>
    );
}
