import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { pocketName } from '../pack/VerdictSheet';
import { Sheet } from '../ui/Page';
import { keyOf, lostTool, toolIsBack, type UseDraft } from './draft';
import { words } from './words';

interface ToolsProps {
    kit: Schemas['KitResource'];
    tools: Schemas['ContentResource'][];
    draft: UseDraft;
    set: (to: (now: UseDraft) => UseDraft) => void;
}

/** What is used and not used up: asked for at the end of a shift, one by one. What is not back is lost. */
export function Tools({ kit, tools, draft, set }: ToolsProps) {
    return (
        <Sheet title={words.tools}>
            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1 }}>
                {words.toolsAbout}
            </Typography>
            {tools.map((row) => {
                const isBack = draft.isBack[keyOf(row)];
                const name = `${row.quantity} × ${row.name}`;
                return (
                    <Box
                        key={keyOf(row)}
                        role="group"
                        aria-label={name}
                        sx={{
                            display: 'grid',
                            gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) auto' },
                            gap: 2,
                            alignItems: 'center',
                            borderTop: 1,
                            borderColor: 'divider',
                            py: 2,
                        }}
                    >
                        <div>
                            {name}
                            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                {pocketName(kit.leaves, row.pocket_id)}
                                {isBack === false && (
                                    <strong> ▲ {words.isLost(draft.taken[keyOf(row)]?.quantity ?? 0)}</strong>
                                )}
                                {isBack === true && ` ✓ ${words.isBackNow}`}
                            </Typography>
                        </div>
                        <Box sx={{ display: 'flex', gap: 2 }}>
                            <Button
                                variant={isBack === true ? 'contained' : 'outlined'}
                                aria-pressed={isBack === true}
                                aria-label={words.isBackOf(row.name)}
                                onClick={() => set((now) => toolIsBack(now, row))}
                                sx={{ minHeight: 48, minWidth: 110 }}
                            >
                                {words.isBack}
                            </Button>
                            <Button
                                variant={isBack === false ? 'contained' : 'outlined'}
                                aria-pressed={isBack === false}
                                aria-label={words.isNotBackOf(row.name)}
                                onClick={() => set((now) => lostTool(now, row))}
                                sx={{ minHeight: 48, minWidth: 110 }}
                            >
                                {words.isNotBack}
                            </Button>
                        </Box>
                    </Box>
                );
            })}
        </Sheet>
    );
}
