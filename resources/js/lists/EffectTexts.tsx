import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { words } from './words';

/** What a kit would have added, moved and removed under another edition. */
export function EffectTexts({ effect }: { effect: Schemas['KitEffect'] }) {
    const parts = [
        [words.toAdd, effect.added],
        [words.toMove, effect.moved],
        [words.noLongerAskedFor, effect.removed],
    ] as const;
    if (parts.every(([, texts]) => texts.length === 0)) {
        return <Typography>{words.nothingChangesForIt}</Typography>;
    }
    return (
        <Box sx={{ display: 'grid', gap: 2, my: 1 }}>
            {parts
                .filter(([, texts]) => texts.length > 0)
                .map(([title, texts]) => (
                    <Box key={title}>
                        <Typography sx={{ fontWeight: 600 }}>{title}</Typography>
                        <Box component="ul" sx={{ m: 0, pl: 5 }}>
                            {texts.map((text) => (
                                <li key={text}>{text}</li>
                            ))}
                        </Box>
                    </Box>
                ))}
        </Box>
    );
}
