import { useEffect, useState } from 'react';

/** A value as it was when it last rested for so long. */
export function usePause<T>(value: T, milliseconds: number): T {
    const [rested, setRested] = useState(value);
    useEffect(() => {
        const timer = setTimeout(() => setRested(value), milliseconds);
        return () => clearTimeout(timer);
    }, [value, milliseconds]);
    return rested;
}
