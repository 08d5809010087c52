import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useEffect, useRef } from 'react';
import type { Schemas } from '../api/client';
import { livesIn } from './livesIn';
import { Sign } from './Sign';
import { count, words } from './words';

type LineState = Schemas['LineResource']['state'];

interface OpenKitProps {
    leaves: Schemas['LeafResource'][];
    lines: Schemas['LineResource'][];
    selected?: string | undefined;
    onSelect: (pocket: string) => void;
    /** What a pocket says below its name, such as how much of it was counted. */
    note?: (pocket: string) => string;
    /** In a check: whether a line was looked at. What was not has no state yet. */
    isLooked?: (line: Schemas['LineResource']) => boolean;
}

const stateWords: Record<LineState, string> = {
    met: 'met',
    early: words.expiresBeforeTheNextCheck,
    reserve: words.metOnlyByExpiredStock,
    short: 'short',
    none: words.noneThere,
};

const stateColour: Record<LineState, string> = {
    met: 'var(--mui-palette-verdict-ready)',
    early: 'var(--mui-palette-verdict-ready_with_actions)',
    reserve: 'var(--mui-palette-verdict-limited)',
    short: 'var(--mui-palette-verdict-limited)',
    none: 'var(--mui-palette-verdict-not_ready)',
};

/** One line of a pocket as a stitch along its edge, in the state of the line: shape and colour together. */
export function Stitch({ state }: { state: LineState | null }) {
    return (
        <Box
            component="svg"
            viewBox="0 0 18 8"
            aria-hidden
            sx={{ width: 18, height: 8, flex: 'none', color: state === null ? 'text.secondary' : stateColour[state] }}
        >
            {state === null && (
                <path d="M3 4h.01M9 4h.01M15 4h.01" stroke="currentColor" strokeWidth="2.5" strokeLinecap="round" />
            )}
            {state === 'met' && <path d="M2 4h14" stroke="currentColor" strokeWidth="3.5" strokeLinecap="round" />}
            {state === 'early' && (
                <path d="M2 4h4M12 4h4" stroke="currentColor" strokeWidth="3.5" strokeLinecap="round" />
            )}
            {state === 'reserve' && (
                <rect
                    x="1"
                    y="1.5"
                    width="16"
                    height="5"
                    rx="2.5"
                    fill="none"
                    stroke="currentColor"
                    strokeWidth="1.6"
                />
            )}
            {state === 'short' && <path d="M2 4h6" stroke="currentColor" strokeWidth="3.5" strokeLinecap="round" />}
            {state === 'none' && (
                <path d="M6.5 1.5l5 5m0-5l-5 5" stroke="currentColor" strokeWidth="2" strokeLinecap="round" />
            )}
        </Box>
    );
}

/** How many columns of pockets a leaf has: it is drawn that much wider. */
function columnsOf(leaf: Schemas['LeafResource']): number {
    return Math.max(1, ...leaf.pockets.map((pocket) => pocket.column + pocket.column_span - 1));
}

function pocketSummary(
    lines: Schemas['LineResource'][],
    isLooked: (line: Schemas['LineResource']) => boolean,
    hasLines: boolean,
): string {
    const bad = lines.filter((line) => isLooked(line) && line.state !== 'met');
    const open = lines.filter((line) => !isLooked(line)).length;
    return [
        ...(hasLines ? [count(lines.length, 'line')] : []),
        ...(open > 0 ? [words.notLookedAt(open)] : []),
        ...bad.map((line) => `${line.need}: ${stateWords[line.state]}`),
    ].join(', ');
}

/** The kit as it lies opened flat: its leaves side by side, each with its pockets where the design places them. */
export function OpenKit({ leaves, lines, selected, onSelect, note, isLooked = () => true }: OpenKitProps) {
    const kit = useRef<HTMLDivElement>(null);
    const here = useRef<HTMLButtonElement>(null);
    useEffect(() => {
        // Only the picture moves, sideways: the page stays where it is.
        const leaf = here.current?.closest<HTMLElement>('[data-leaf]');
        if (kit.current && leaf) {
            kit.current.scrollLeft = leaf.offsetLeft - kit.current.offsetLeft;
        }
    }, [selected]);
    return (
        <Box
            ref={kit}
            role="group"
            aria-label={words.theKitOpenedFlat}
            tabIndex={-1}
            sx={{
                display: 'grid',
                gridAutoFlow: 'column',
                gridTemplateColumns: {
                    xs: leaves.map(() => 'min(86%, 340px)').join(' '),
                    md: leaves.map((leaf) => `minmax(0, ${columnsOf(leaf)}fr)`).join(' '),
                },
                gap: '3px',
                overflowX: 'auto',
                scrollSnapType: 'x proximity',
                bgcolor: 'divider',
                border: '3px solid',
                borderColor: 'text.secondary',
                borderRadius: '14px',
                p: '3px',
            }}
        >
            {leaves.map((leaf) => (
                <Box
                    key={leaf.name}
                    data-leaf
                    sx={{ scrollSnapAlign: 'start', bgcolor: 'canvas', borderRadius: '9px', p: 2, minWidth: 0 }}
                >
                    <Typography variant="h3" sx={{ px: 1, pb: 1.5 }}>
                        {leaf.name}
                    </Typography>
                    <Box
                        sx={{
                            display: 'grid',
                            gridAutoColumns: '1fr',
                            gridAutoRows: { xs: 'minmax(66px, auto)', md: 'minmax(86px, auto)' },
                            gap: 1.5,
                        }}
                    >
                        {leaf.pockets.map((pocket) => {
                            const own = lines.filter((line) => livesIn(line, pocket.id));
                            const isHere = pocket.id === selected;
                            return (
                                <ButtonBase
                                    key={pocket.id}
                                    ref={isHere ? here : undefined}
                                    aria-pressed={isHere}
                                    aria-label={`${pocket.name}${note ? ` ${note(pocket.id)}` : ''}, ${leaf.name}: ${pocketSummary(own, isLooked, lines.length > 0)}`.replace(
                                        /: $/,
                                        '',
                                    )}
                                    onClick={() => onSelect(pocket.id)}
                                    sx={{
                                        gridRow: `${pocket.row} / span ${pocket.row_span}`,
                                        gridColumn: `${pocket.column} / span ${pocket.column_span}`,
                                        flexDirection: 'column',
                                        alignItems: 'stretch',
                                        justifyContent: 'space-between',
                                        textAlign: 'left',
                                        p: 1.5,
                                        gap: 1.5,
                                        minWidth: 0,
                                        bgcolor: 'background.paper',
                                        borderRadius: '4px 4px 10px 10px',
                                        border: isHere ? '2px solid' : '1px solid',
                                        borderColor: isHere ? 'primary.main' : 'divider',
                                        borderTop: '4px solid',
                                        borderTopColor: isHere ? 'primary.main' : 'ochre',
                                    }}
                                >
                                    <span>
                                        <Typography
                                            component="span"
                                            sx={{
                                                display: 'block',
                                                fontWeight: 600,
                                                lineHeight: 1.2,
                                                fontSize: 14,
                                                overflowWrap: 'break-word',
                                                hyphens: 'auto',
                                            }}
                                        >
                                            {pocket.name}
                                        </Typography>
                                        {/* The space keeps the words apart for who listens. */ ' '}
                                        {note && (
                                            <Typography
                                                component="span"
                                                variant="caption"
                                                sx={{ color: 'text.secondary' }}
                                            >
                                                {note(pocket.id)}
                                            </Typography>
                                        )}
                                    </span>
                                    <Box component="span" sx={{ display: 'flex', flexWrap: 'wrap', gap: '3px 4px' }}>
                                        {own.map((line) => (
                                            <Box
                                                key={line.code}
                                                component="span"
                                                sx={{
                                                    display: 'inline-flex',
                                                    flexDirection: 'column',
                                                    alignItems: 'center',
                                                }}
                                            >
                                                <Sign of={line.item_class ?? ''} size={20} />
                                                <Stitch state={isLooked(line) ? line.state : null} />
                                            </Box>
                                        ))}
                                    </Box>
                                </ButtonBase>
                            );
                        })}
                    </Box>
                </Box>
            ))}
        </Box>
    );
}

/** What the stitches mean. */
export function StitchKey() {
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '4px 16px', mt: 2 }}>
            {(Object.keys(stateWords) as LineState[]).map((state) => (
                <Box
                    key={state}
                    component="span"
                    sx={{ display: 'inline-flex', gap: 1.5, alignItems: 'center', fontSize: 13 }}
                >
                    <Stitch state={state} />
                    {stateWords[state]}
                </Box>
            ))}
        </Box>
    );
}
