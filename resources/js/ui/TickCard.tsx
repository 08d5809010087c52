import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import TextField from '@mui/material/TextField';
import type { ReactNode } from 'react';

interface TickCardProps {
    /** What is ticked, for who listens. */
    name: string;
    isDone: boolean;
    isLocked?: boolean;
    onTick: (isDone: boolean) => void;
    onFocus?: () => void;
    pieces: string;
    piecesName: string;
    /** No pieces can be typed. */
    isFixed?: boolean;
    onPieces: (typed: string) => void;
    problem: string | undefined;
    children: ReactNode;
    below?: ReactNode;
}

/** One thing to do with so many pieces: a tick, what it is, and how many. A row at the desk, a card in hand. */
export function TickCard({
    name,
    isDone,
    isLocked = false,
    onTick,
    onFocus,
    pieces,
    piecesName,
    isFixed = false,
    onPieces,
    problem,
    children,
    below,
}: TickCardProps) {
    return (
        <Box
            onFocus={onFocus}
            sx={{
                display: 'grid',
                gridTemplateColumns: '44px minmax(0, 1fr) 84px',
                gap: 2,
                alignItems: 'center',
                py: 2,
                borderTop: 1,
                // In hand each is a card of its own.
                mb: { xs: 2, md: 0 },
                px: { xs: 2, md: 0 },
                border: { xs: 1, md: 0 },
                borderTopWidth: { md: 1 },
                borderTopStyle: { md: 'solid' },
                borderColor: { xs: 'divider', md: 'divider' },
                borderRadius: { xs: '6px', md: 0 },
                bgcolor: { xs: isDone ? 'canvas' : 'background.paper', md: 'transparent' },
            }}
        >
            <Checkbox
                checked={isDone}
                disabled={isLocked}
                onChange={(event) => onTick(event.target.checked)}
                slotProps={{ input: { 'aria-label': name } }}
                sx={{ width: 44, height: 44 }}
            />
            <Box
                sx={{ minWidth: 0, minHeight: { xs: 56, md: 0 }, cursor: 'pointer' }}
                onClick={() => !isLocked && onTick(!isDone)}
            >
                {children}
            </Box>
            <TextField
                value={pieces}
                disabled={isFixed}
                onFocus={(event) => event.target.select()}
                onChange={(event) => onPieces(event.target.value.trim())}
                error={problem !== undefined}
                helperText={problem}
                slotProps={{
                    htmlInput: { inputMode: 'numeric', 'aria-label': piecesName, maxLength: 6 },
                    formHelperText: { sx: { minWidth: 200, ml: -28 } },
                }}
            />
            {below && (
                <Box
                    sx={{
                        gridColumn: { xs: '1 / -1', md: '2 / -1' },
                        mt: -2,
                        '& button': { px: { md: 0 }, justifyContent: 'start', minHeight: 44 },
                    }}
                >
                    {below}
                </Box>
            )}
        </Box>
    );
}
