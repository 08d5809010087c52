import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { type Draft } from './draft';
import { setModule, type DraftModule } from './modules';
import { words } from './words';

interface ModuleSealProps {
    draft: Draft;
    module: DraftModule;
    change: (to: (draft: Draft) => Draft) => void;
    onDone: () => void;
}

/** A module that is closed with a seal: its number is read and typed and it stays closed, or it is opened and why is said. */
export function ModuleSeal({ draft, module, change, onDone }: ModuleSealProps) {
    const [reason, setReason] = useState(draft.sealReason);
    const [sealFound, setSealFound] = useState(module.sealFound);
    const leaveClosed = () => {
        change((now) => setModule(now, module.code, { state: 'closed', sealFound: sealFound.trim() }));
        onDone();
    };
    const open = () =>
        change((now) => ({
            ...setModule(now, module.code, { state: 'opened', sealFound: '' }),
            sealReason: now.sealReason || reason.trim(),
        }));
    const isClosed = module.state === 'closed';
    return (
        <Box sx={{ display: 'grid', gap: 3, py: 2 }}>
            <Typography>{isClosed ? words.leftClosed(module.sealFound) : words.readTheSeal(module.name)}</Typography>
            {isClosed ? (
                <Box>
                    <Button id="next" onClick={() => change((now) => setModule(now, module.code, { state: 'unsaid' }))}>
                        {words.readItAnew}
                    </Button>
                </Box>
            ) : (
                <Box
                    component="form"
                    onSubmit={(event) => {
                        event.preventDefault();
                        if (sealFound.trim() !== '') {
                            leaveClosed();
                        }
                    }}
                    sx={{ display: 'grid', gap: 2 }}
                >
                    <TextField
                        label={words.numberOnTheSealOf(module.name)}
                        value={sealFound}
                        onChange={(event) => setSealFound(event.target.value)}
                        helperText={words.asReadOnTheSeal}
                        slotProps={{ htmlInput: { maxLength: 60, 'data-read': true } }}
                        sx={{ maxWidth: 480 }}
                    />
                    <Box>
                        <Button type="submit" variant="contained" id="next" disabled={sealFound.trim() === ''}>
                            {words.sealIsWholeLeave}
                        </Button>
                    </Box>
                </Box>
            )}
            <TextField
                label={words.whySealIsBroken}
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
