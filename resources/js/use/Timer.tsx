import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { timeNow } from '../api/clock';
import { words } from './words';

interface TimerProps {
    minutes: number;
    /** When it was started. */
    startedAt: string | undefined;
    onStart: (at: string) => void;
}

const SECOND = 1_000;

/** What must be started before it works: started with a press, and how long it still takes. */
export function Timer({ minutes, startedAt, onStart }: TimerProps) {
    const [now, setNow] = useState(() => Date.parse(timeNow()));
    const until = startedAt === undefined ? null : Date.parse(startedAt) + minutes * 60 * SECOND;
    const left = until === null ? 0 : Math.max(0, Math.ceil((until - now) / SECOND));
    useEffect(() => {
        if (until === null || left === 0) {
            return undefined;
        }
        const clock = window.setInterval(() => setNow(Date.parse(timeNow())), SECOND);
        return () => window.clearInterval(clock);
    }, [until, left]);
    if (startedAt === undefined) {
        return (
            <Typography variant="body2" component="div">
                {words.startsIn(minutes)}{' '}
                <Button size="small" onClick={() => onStart(timeNow())}>
                    {words.startTimer}
                </Button>
            </Typography>
        );
    }
    return (
        <Typography variant="body2" role="timer" sx={{ fontWeight: 700 }}>
            {left === 0
                ? words.worksNow
                : words.worksIn(`${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`)}
        </Typography>
    );
}
