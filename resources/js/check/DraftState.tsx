import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Draft } from './draft';
import { words } from './words';

/** Why the server did not take the check, and what to do. */
export function DraftTrouble({ draft }: { draft: Draft }) {
    if (!draft.trouble) {
        return null;
    }
    return (
        <Box
            role="alert"
            sx={{ border: 1, borderLeft: 6, borderColor: 'error.main', borderRadius: '6px', p: 3, my: 3 }}
        >
            <Typography sx={{ fontWeight: 700 }}>{draft.trouble.title}</Typography>
            <Typography>{draft.trouble.detail}</Typography>
            {draft.trouble.changes.length > 0 && (
                <Box component="ul" sx={{ mt: 2, mb: 0, pl: 5 }}>
                    {draft.trouble.changes.map((change) => (
                        <li key={change}>{change}</li>
                    ))}
                </Box>
            )}
        </Box>
    );
}

export function WaitingToSend({ draft }: { draft: Draft }) {
    return draft.isWaiting ? (
        <Typography role="status" sx={{ my: 3 }}>
            {words.signedAndSavedOnThis}
        </Typography>
    ) : null;
}
