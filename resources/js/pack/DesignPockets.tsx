import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Schemas } from '../api/client';
import { Choose, Write } from '../ui/Fields';
import { Sheet } from '../ui/Page';
import { words } from './words';

type Leaf = Schemas['ProposedLeaf'];

interface DesignPocketsProps {
    leaves: Leaf[];
    onChange: (leaves: Leaf[]) => void;
}

/** The parts of a kit with their pockets: named, added, and each line put into one of them. */
export function DesignPockets({ leaves, onChange }: DesignPocketsProps) {
    const pockets = leaves.flatMap((leaf, of) =>
        leaf.pockets.map((pocket, at) => [`${of}.${at}`, `${leaf.name}, ${pocket.name}`] as const),
    );
    const change = (of: number, to: (leaf: Leaf) => Leaf) =>
        onChange(leaves.map((leaf, index) => (index === of ? to(leaf) : leaf)));
    const move = (code: string, to: string) => {
        const [of, at] = to.split('.').map(Number);
        const line = leaves
            .flatMap((leaf) => leaf.pockets.flatMap((pocket) => pocket.lines))
            .find((one) => one.code === code);
        onChange(
            leaves.map((leaf, index) => ({
                ...leaf,
                pockets: leaf.pockets.map((pocket, place) => {
                    const others = pocket.lines.filter((one) => one.code !== code);
                    return { ...pocket, lines: index === of && place === at && line ? [...others, line] : others };
                }),
            })),
        );
    };
    return (
        <>
            {leaves.map((leaf, of) => (
                <Sheet
                    key={of}
                    title={leaf.name}
                    beside={
                        <Button
                            size="small"
                            onClick={() =>
                                change(of, (one) => ({
                                    ...one,
                                    pockets: [
                                        ...one.pockets,
                                        { name: words.newPocket(one.pockets.length + 1), lines: [] },
                                    ],
                                }))
                            }
                        >
                            {words.addPocket}
                        </Button>
                    }
                >
                    {leaf.pockets.map((pocket, at) => (
                        <Box
                            key={at}
                            role="group"
                            aria-label={pocket.name}
                            sx={{ borderTop: 1, borderColor: 'divider', py: 2, display: 'grid', gap: 2 }}
                        >
                            <Write
                                label={words.pocketName}
                                value={pocket.name}
                                onWrite={(name) =>
                                    change(of, (one) => ({
                                        ...one,
                                        pockets: one.pockets.map((old, place) =>
                                            place === at ? { ...old, name } : old,
                                        ),
                                    }))
                                }
                                help={pocket.lines.length === 0 ? words.emptyPocketGoes : undefined}
                                slotProps={{ htmlInput: { maxLength: 60 } }}
                                sx={{ maxWidth: 360 }}
                            />
                            {pocket.lines.map((line) => (
                                <Box
                                    key={line.code}
                                    sx={{
                                        display: 'grid',
                                        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) 280px' },
                                        gap: 1,
                                        alignItems: 'center',
                                    }}
                                >
                                    <span>
                                        {line.need}
                                        {line.rank === 'critical' && <strong> {words.criticalWord}</strong>}
                                    </span>
                                    <Choose
                                        label={words.inPocket(line.need)}
                                        size="small"
                                        value={`${of}.${at}`}
                                        onChoose={(to) => move(line.code, to)}
                                        options={pockets}
                                    />
                                </Box>
                            ))}
                        </Box>
                    ))}
                </Sheet>
            ))}
        </>
    );
}
