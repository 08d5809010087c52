import { useEffect, useState } from 'react';

const PAUSE_MS = 200;

/** A value once it has not changed for a moment: nobody is asked at every key. */
export function useSettled<T>(value: T): T {
    const [settled, setSettled] = useState(value);
    useEffect(() => {
        const later = window.setTimeout(() => setSettled(value), PAUSE_MS);
        return () => window.clearTimeout(later);
    }, [value]);
    return settled;
}
