import Button from '@mui/material/Button';
import { useState } from 'react';
import { words } from './words';

/** Throws what was counted away, after it was asked for twice. */
export function ThrowAway({ onThrow }: { onThrow: () => void }) {
    const [isAsked, setAsked] = useState(false);
    return isAsked ? (
        <>
            <Button onClick={onThrow} color="error" autoFocus>
                {words.discardCounts}
            </Button>
            <Button onClick={() => setAsked(false)}>{words.cancel}</Button>
        </>
    ) : (
        <Button onClick={() => setAsked(true)}>{words.discardCheck}</Button>
    );
}
