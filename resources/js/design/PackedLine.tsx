import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import type { KeyboardEvent, ReactNode } from 'react';
import { Sign } from '../ui/Sign';
import { DRAGGED, isChosen, type PackedKitProps } from './chosen';
import type { Compartment, Placement } from './packing';
import { words } from './words';

/** Alt with an arrow: earlier or later. */
function shiftsBy(shift: (by: 1 | -1) => void) {
    const by: Record<string, 1 | -1> = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 };
    return (event: KeyboardEvent) => {
        const way = event.altKey ? by[event.key] : undefined;
        if (way !== undefined) {
            event.preventDefault();
            shift(way);
        }
    };
}

/** The name of a compartment: it is chosen by it. */
export function Choice({
    compartment,
    chosen,
    onChoose,
    onShift,
    look,
    children,
}: Pick<PackedKitProps, 'chosen' | 'onChoose' | 'onShift'> & {
    compartment: Compartment;
    look: object;
    children: ReactNode;
}) {
    const mine = { kind: 'compartment', id: compartment.id } as const;
    const isMine = isChosen(chosen, compartment.id);
    return (
        <ButtonBase
            aria-pressed={isMine}
            onClick={() => onChoose(mine)}
            onKeyDown={shiftsBy((by) => onShift(mine, by))}
            sx={{
                display: 'block',
                textAlign: 'left',
                minHeight: 28,
                ...look,
                ...(isMine ? { boxShadow: 'inset 0 0 0 2px var(--mui-palette-primary-main)' } : {}),
            }}
        >
            {children}
        </ButtonBase>
    );
}

/** A line as it lies in its pocket: dragged, chosen, or moved by keys. */
export function Line({
    line: code,
    from,
    placement,
    draft,
    lines,
    chosen,
    onChoose,
    onShift,
}: Omit<PackedKitProps, 'onAddPocket'> & { line: string; from: string | null; placement: Placement | null }) {
    const line = lines.get(code);
    const mine = { kind: 'line', code, from } as const;
    const isMine = chosen?.kind === 'line' && chosen.code === code && chosen.from === from;
    const only = draft.configurations.filter((one) => one.lines.includes(code)).map((one) => one.name);
    const pieces = line?.pieces ?? 0;
    const share = placement?.quantity ?? null;
    const notes = [
        line?.rank === 'critical' ? words.critical : line?.rank === 'optional' ? words.optional : '',
        line?.added === true ? words.added : '',
        placement !== null && (placement.from_day !== null || placement.waits_for !== null) ? words.planned : '',
        only.length > 0 ? words.onlyIn(only.join(', ')) : '',
    ].filter(Boolean);
    return (
        <ButtonBase
            draggable
            data-line={code}
            aria-pressed={isMine}
            onDragStart={(event) => {
                event.dataTransfer.setData(DRAGGED, `${code}\n${from ?? ''}`);
                event.dataTransfer.effectAllowed = 'move';
            }}
            onClick={() => onChoose(mine)}
            onKeyDown={shiftsBy((by) => onShift(mine, by))}
            sx={{
                display: 'flex',
                width: '100%',
                justifyContent: 'flex-start',
                alignItems: 'flex-start',
                gap: 1,
                textAlign: 'left',
                p: 0.75,
                minHeight: 28,
                borderRadius: '4px',
                cursor: 'grab',
                fontSize: 13,
                lineHeight: 1.3,
                bgcolor: isMine ? 'action.selected' : 'transparent',
                boxShadow: isMine ? 'inset 0 0 0 2px var(--mui-palette-primary-main)' : 'none',
            }}
        >
            <Sign of={line?.class ?? ''} size={20} />
            <span style={{ overflowWrap: 'anywhere', hyphens: 'auto', minWidth: 0 }}>
                {line !== undefined && (
                    <strong>{share === null ? words.pieces(pieces) : words.share(share, pieces)} </strong>
                )}
                {line?.item_name ?? line?.need ?? draft.additions.find((one) => one.code === code)?.need ?? '…'}
                {notes.length > 0 && (
                    <Box
                        component="span"
                        sx={{ color: 'text.secondary', fontWeight: line?.rank === 'critical' ? 700 : 400 }}
                    >
                        {' '}
                        {notes.join(', ')}
                    </Box>
                )}
            </span>
        </ButtonBase>
    );
}
