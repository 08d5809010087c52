import Box from '@mui/material/Box';
import { useEffect, useRef, useState, type ReactNode } from 'react';

/** How far ahead of what is seen it is drawn: further than anybody scrolls or tabs at once. */
const AHEAD = '1200px 0px';

/** A part of a long form, drawn once it comes near what is seen. What was drawn stays. */
export function Near({ height, isNow, children }: { height: number; isNow: boolean; children: ReactNode }) {
    const [isNear, setNear] = useState(isNow || typeof IntersectionObserver === 'undefined');
    const place = useRef<HTMLDivElement>(null);
    useEffect(() => {
        if (isNear || !place.current) {
            return undefined;
        }
        const seen = new IntersectionObserver(
            (entries) => {
                if (entries.some((entry) => entry.isIntersecting)) {
                    setNear(true);
                }
            },
            { rootMargin: AHEAD },
        );
        seen.observe(place.current);
        return () => seen.disconnect();
    }, [isNear]);
    return isNear ? children : <Box ref={place} sx={{ minHeight: height }} />;
}
