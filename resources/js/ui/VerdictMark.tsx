import Box from '@mui/material/Box';
import type { Verdict } from '../api/client';
import { useIsUnknown } from './OfflineCopy';
import { verdictWords, words } from './words';

/**
 * Draws the shape of a status: filled disc with a tick, disc with a notch, half disc, square with a bar. A ring for a kit
 * that was never checked, a dash where no requirement is set, a dashed ring while the status is updated.
 */
export function VerdictShape({
    verdict,
    size = 18,
    isOpen = false,
}: {
    verdict: Verdict | null;
    size?: number;
    /** Not judged yet, and nothing is on its way: a whole ring. */
    isOpen?: boolean;
}) {
    return (
        <Box
            component="svg"
            viewBox="0 0 20 20"
            aria-hidden
            sx={{
                width: size,
                height: size,
                flex: 'none',
                display: 'block',
                color:
                    verdict === null || verdict === 'no_requirement' || verdict === 'not_checked'
                        ? 'text.primary'
                        : `var(--mui-palette-verdict-${verdict})`,
            }}
        >
            {verdict === null && (
                <circle
                    cx="10"
                    cy="10"
                    r="8"
                    fill="none"
                    stroke="currentColor"
                    strokeWidth="2"
                    strokeDasharray={isOpen ? undefined : '4 3'}
                />
            )}
            {verdict === 'not_checked' && (
                <circle cx="10" cy="10" r="7.5" fill="none" stroke="currentColor" strokeWidth="3" />
            )}
            {verdict === 'ready' && (
                <>
                    <circle cx="10" cy="10" r="9" fill="currentColor" />
                    <path
                        d="M5.5 10.300l3 3 6-6.5"
                        fill="none"
                        stroke="var(--mui-palette-background-paper)"
                        strokeWidth="2.2"
                        strokeLinecap="round"
                    />
                </>
            )}
            {verdict === 'ready_with_actions' && <path d="M10 1a9 9 0 1 0 9 9h-9z" fill="currentColor" />}
            {verdict === 'no_requirement' && (
                <path d="M3 10h14" stroke="currentColor" strokeWidth="3" strokeLinecap="round" />
            )}
            {verdict === 'limited' && (
                <>
                    <circle cx="10" cy="10" r="8" fill="none" stroke="currentColor" strokeWidth="2" />
                    <path d="M10 2a8 8 0 0 0 0 16z" fill="currentColor" />
                </>
            )}
            {verdict === 'not_ready' && (
                <>
                    <rect x="1" y="1" width="18" height="18" rx="2" fill="currentColor" />
                    <path
                        d="M5 10h10"
                        stroke="var(--mui-palette-background-paper)"
                        strokeWidth="3"
                        strokeLinecap="round"
                    />
                </>
            )}
        </Box>
    );
}

/** The mark of a status that nobody knows any more: a dotted ring. */
export function UnknownShape({ size = 18 }: { size?: number }) {
    return (
        <Box
            component="svg"
            viewBox="0 0 20 20"
            aria-hidden
            sx={{ width: size, height: size, flex: 'none', display: 'block', color: 'text.primary' }}
        >
            <circle
                cx="10"
                cy="10"
                r="8"
                fill="none"
                stroke="currentColor"
                strokeWidth="2.5"
                strokeLinecap="round"
                strokeDasharray="0.1 4.9"
            />
        </Box>
    );
}

interface VerdictMarkProps {
    verdict: Verdict | null;
    /** The last day through which it holds, and the kit: a copy that is read without a network may be out of date. */
    holdsThrough?: string | null;
    kit?: string;
}

/** Shows a status by word, shape and colour together. */
export function VerdictMark({ verdict, holdsThrough, kit }: VerdictMarkProps) {
    const isUnknown = useIsUnknown(holdsThrough, kit);
    const word = verdict === null ? words.beingJudgedAgain : verdictWords[verdict];
    return (
        <Box
            component="span"
            sx={{ display: 'inline-flex', alignItems: 'center', gap: 1.5, fontWeight: 600, whiteSpace: 'nowrap' }}
        >
            {isUnknown ? <UnknownShape /> : <VerdictShape verdict={verdict} />}
            <span>{isUnknown ? words.unknown : word}</span>
            {isUnknown && (
                <Box component="span" sx={{ color: 'text.secondary', fontWeight: 400 }}>
                    {words.lastStatus(word)}
                </Box>
            )}
        </Box>
    );
}
