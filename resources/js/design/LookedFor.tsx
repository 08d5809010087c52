import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Choose } from '../ui/Fields';
import { Group } from '../ui/Group';
import type { Compartment, Draft } from './packing';
import { words } from './words';

/** Lines that people search in a pocket, and that live elsewhere: the pocket says where. */
export function LookedFor({
    draft,
    one,
    lines,
    set,
}: {
    draft: Draft;
    one: Compartment;
    lines: ReadonlyMap<string, Schemas['ForeseenLine']>;
    set: (to: Partial<Compartment>) => void;
}) {
    const here = new Set(
        draft.placements.filter((placement) => placement.compartment === one.id).map(({ line }) => line),
    );
    const others = [...lines.values()].filter((line) => !here.has(line.code) && !one.looked_for.includes(line.code));
    return (
        <Group legend={words.lookedFor}>
            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1 }}>
                {words.lookedForHelp}
            </Typography>
            {one.looked_for.map((code) => (
                <Box key={code} sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center', gap: 1 }}>
                    {lines.get(code)?.need ?? code}
                    <Button
                        size="small"
                        aria-label={words.stopLookedFor(lines.get(code)?.need ?? code)}
                        onClick={() => set({ looked_for: one.looked_for.filter((other) => other !== code) })}
                    >
                        {words.stopLookedFor('')}
                    </Button>
                </Box>
            ))}
            <Choose
                label={words.addLookedFor}
                size="small"
                fullWidth
                sx={{ mt: 2 }}
                value=""
                empty=""
                onChoose={(code) => {
                    if (code !== '') {
                        set({ looked_for: [...one.looked_for, code] });
                    }
                }}
                options={others.map((line) => [line.code, line.need] as const)}
            />
        </Group>
    );
}
