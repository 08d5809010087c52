import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { setModule, type Draft, type DraftModule } from './draft';
import { words } from './words';

interface ModuleSealProps {
    draft: Draft;
    module: DraftModule;
    change: (to: (draft: Draft) => Draft) => void;
    onDone: () => void;
}

/** A module that is closed with a seal: read it and leave it closed, or open it and say why. */
export function ModuleSeal({ draft, module, change, onDone }: ModuleSealProps) {
    const [reason, setReason] = useState(draft.sealReason);
    const leaveClosed = () => {
        change((now) => setModule(now, module.code, { state: 'closed' }));
        onDone();
    };
    const open = () =>
        change((now) => ({
            ...setModule(now, module.code, { state: 'opened' }),
            sealReason: now.sealReason || reason.trim(),
        }));
    return (
        <Box sx={{ display: 'grid', gap: 3, py: 2 }}>
            <Typography>
                {module.state === 'closed'
                    ? words.leftClosed(module.seal ?? '')
                    : words.readTheSeal(module.name, module.seal ?? '')}
            </Typography>
            {module.state === 'unsaid' && (
                <Box>
                    <Button variant="contained" id="next" data-count data-open onClick={leaveClosed}>
                        {words.sealIsWholeLeave(module.seal ?? '')}
                    </Button>
                </Box>
            )}
            <TextField
                label={words.whySealIsBroken(module.seal ?? '')}
                value={reason}
                onChange={(event) => setReason(event.target.value)}
                helperText={words.onlyIfYouOpenIt}
                slotProps={{ htmlInput: { maxLength: 200 } }}
                sx={{ maxWidth: 480 }}
            />
            <Box>
                <Button disabled={reason.trim() === ''} onClick={open}>
                    {words.openAndCount}
                </Button>
            </Box>
        </Box>
    );
}
