import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState, type DragEvent } from 'react';
import type { Schemas } from '../api/client';
import { Empty } from '../ui/Page';
import { drawn, linesIn, partsOf, type Compartment, type Draft } from './packing';
import { DRAGGED, isChosen, type PackedKitProps } from './chosen';
import { Choice, Line } from './PackedLine';
import { exceeds } from '../ui/limits';
import { words } from './words';

/** What something does that a line may be dropped on. */
function useDrop(onDrop: (line: string, from: string | null) => void) {
    const [isOver, setOver] = useState(false);
    return {
        isOver,
        drop: {
            onDragOver: (event: DragEvent) => {
                if (event.dataTransfer.types.includes(DRAGGED)) {
                    event.preventDefault();
                    event.stopPropagation();
                    setOver(true);
                }
            },
            onDragLeave: () => setOver(false),
            onDrop: (event: DragEvent) => {
                event.preventDefault();
                event.stopPropagation();
                setOver(false);
                const [line = '', from = ''] = event.dataTransfer.getData(DRAGGED).split('\n');
                if (line !== '') {
                    onDrop(line, from === '' ? null : from);
                }
            },
        },
    };
}

/** The kit opened flat, as it is packed: lines are dragged from pocket to pocket, or moved by keys. */
export function PackedKit(props: PackedKitProps) {
    const { draft, onAddPocket } = props;
    const parts = partsOf(draft);
    if (parts.length === 0) {
        return <Empty>{words.emptyKit}</Empty>;
    }
    return (
        <Box
            role="group"
            aria-label={words.theKit}
            sx={{
                display: 'grid',
                gridTemplateColumns: {
                    xs: 'minmax(0, 1fr)',
                    md: parts.map((part) => `minmax(0, ${widthOf(draft, part.id)}fr)`).join(' '),
                },
                gap: '3px',
                bgcolor: 'divider',
                border: '3px solid',
                borderColor: 'text.secondary',
                borderRadius: '14px',
                p: '3px',
            }}
        >
            {parts.map((part) => (
                <Box key={part.id} sx={{ bgcolor: 'canvas', borderRadius: '9px', p: 2, minWidth: 0 }}>
                    <Box
                        sx={{
                            display: 'flex',
                            flexWrap: 'wrap',
                            justifyContent: 'space-between',
                            alignItems: 'center',
                            gap: 1,
                            pb: 1.5,
                        }}
                    >
                        <Choice {...props} compartment={part} look={{ p: 1, borderRadius: '6px' }}>
                            <Typography component="span" variant="h3">
                                {part.name}
                            </Typography>
                        </Choice>
                        <Button
                            size="small"
                            aria-label={words.addPocketTo(part.name)}
                            onClick={() => onAddPocket(part.id)}
                            sx={{ whiteSpace: 'nowrap' }}
                        >
                            {words.addPocket}
                        </Button>
                    </Box>
                    {drawn(draft, part.id).length === 0 && <Empty>{words.emptyPart}</Empty>}
                    <Box
                        sx={{
                            display: 'grid',
                            gridAutoColumns: 'minmax(0, 1fr)',
                            gridAutoRows: 'minmax(72px, auto)',
                            gap: 1.5,
                        }}
                    >
                        {drawn(draft, part.id).map(({ compartment, row }) => (
                            <Pocket key={compartment.id} {...props} compartment={compartment} row={row} />
                        ))}
                    </Box>
                </Box>
            ))}
        </Box>
    );
}

function widthOf(draft: Draft, part: string): number {
    return Math.max(
        1,
        ...drawn(draft, part).map(({ compartment }) => compartment.column + compartment.column_span - 1),
    );
}

/** Where lines wait that are in no pocket. */
export function LooseLines(props: Omit<PackedKitProps, 'onAddPocket'>) {
    const placed = new Set(props.draft.placements.map((one) => one.line));
    const loose = [...props.lines.values()].filter((line) => !placed.has(line.code));
    const { isOver, drop } = useDrop((line, from) => props.onMove(line, from, null));
    return (
        <Box
            role="group"
            aria-label={words.looseLines}
            {...drop}
            sx={{
                mt: 3,
                p: 2,
                border: '2px dashed',
                borderColor: isOver ? 'primary.main' : 'divider',
                borderRadius: '6px',
            }}
        >
            <Typography variant="h3">{words.looseLines}</Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1 }}>
                {loose.length === 0 ? words.allPlaced : words.looseAbout(loose.length)}
            </Typography>
            <Box sx={{ display: 'grid', gridTemplateColumns: { sm: 'repeat(2, minmax(0, 1fr))' }, gap: 1 }}>
                {loose.map((line) => (
                    <Line key={line.code} {...props} line={line.code} from={null} placement={null} />
                ))}
            </Box>
        </Box>
    );
}

function Pocket({ compartment, row, ...props }: PackedKitProps & { compartment: Compartment; row: number }) {
    const { isOver, drop } = useDrop((line, from) => props.onMove(line, from, compartment.id));
    const load = props.loads.get(compartment.id);
    const isSlot = compartment.kind === 'slot';
    const only = props.draft.configurations.filter((one) => one.slots.includes(compartment.id)).map((one) => one.name);
    return (
        <Box
            {...(isSlot ? {} : drop)}
            data-pocket={compartment.name}
            sx={{
                gridRow: `${row} / span ${compartment.row_span}`,
                gridColumn: `${compartment.column} / span ${compartment.column_span}`,
                p: 1,
                minWidth: 0,
                bgcolor: 'background.paper',
                borderRadius: '4px 4px 10px 10px',
                border: '1px solid',
                borderColor: isOver ? 'primary.main' : 'divider',
                borderTop: '4px solid',
                borderTopColor: isOver || isChosen(props.chosen, compartment.id) ? 'primary.main' : 'ochre',
                borderStyle: isSlot ? 'dashed' : 'solid',
                outline: isOver ? '2px solid' : 'none',
                outlineColor: 'primary.main',
            }}
        >
            <Choice {...props} compartment={compartment} look={{ p: 0.5, width: '100%', borderRadius: '4px' }}>
                <Typography
                    component="span"
                    sx={{ fontWeight: 600, fontSize: 14, lineHeight: 1.2, overflowWrap: 'anywhere' }}
                >
                    {compartment.name}
                </Typography>
                <Typography
                    component="span"
                    variant="caption"
                    sx={{ color: 'text.secondary', display: 'block', lineHeight: 1.3 }}
                >
                    {[
                        isSlot && compartment.slot_design !== null
                            ? words.module(props.designs.get(compartment.slot_design) ?? compartment.slot_design)
                            : '',
                        only.length > 0 ? words.onlyIn(only.join(', ')) : '',
                        compartment.closure === null ? '' : words.closures[compartment.closure].toLowerCase(),
                        load === undefined || isSlot ? '' : sayLoad(load),
                    ]
                        .filter(Boolean)
                        .join(' · ')}
                </Typography>
            </Choice>
            {linesIn(props.draft, compartment.id).map((placement) => (
                <Line
                    key={placement.line}
                    {...props}
                    line={placement.line}
                    from={compartment.id}
                    placement={placement}
                />
            ))}
        </Box>
    );
}

/** "120 g, too heavy" */
function sayLoad(load: Schemas['ForeseenLoad']): string {
    return [
        words.grams(load.mass_g.toLocaleString('en-GB')),
        exceeds(load.mass_g, load.max_mass_g) ? words.tooHeavy : '',
        exceeds(load.bulk_ml, load.volume_ml) ? words.tooFull : '',
    ]
        .filter(Boolean)
        .join(', ');
}
