import Button from '@mui/material/Button';
import { useState } from 'react';

/** Throws what was counted away, after it was asked for twice. */
export function ThrowAway({ onThrow }: { onThrow: () => void }) {
    const [isAsked, setAsked] = useState(false);
    return isAsked ? (
        <>
            <Button onClick={onThrow} color="error" autoFocus>
                Discard counts
            </Button>
            <Button onClick={() => setAsked(false)}>Cancel</Button>
        </>
    ) : (
        <Button onClick={() => setAsked(true)}>Discard check</Button>
    );
}
