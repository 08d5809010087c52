import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Page, Sheet } from '../ui/Page';

interface SealStartProps {
    kit: Schemas['KitResource'];
    onBegin: (kind: 'full' | 'quick', reason: string) => void;
}

/** A sealed kit: look at the seal, or open the kit and say why. */
export function SealStart({ kit, onBegin }: SealStartProps) {
    const [reason, setReason] = useState('');
    return (
        <Page
            title={`Check ${kit.code} ${kit.name}`}
            above={<Typography sx={{ color: 'text.secondary' }}>{kit.place.path}</Typography>}
        >
            <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: { md: '1fr 1fr' }, maxWidth: 1000 }}>
                <Sheet title="The seal is intact">
                    <Typography sx={{ mb: 3 }}>
                        An intact seal confirms that the contents have not changed since they were counted. A quick
                        check reads the seal number and looks at the outside; leave the kit closed. {kit.due.text}
                    </Typography>
                    <Button variant="contained" onClick={() => onBegin('quick', '')}>
                        Quick check
                    </Button>
                </Sheet>
                <Sheet title="Open it for a full check">
                    <TextField
                        label={`Why seal ${kit.seal.number ?? ''} is broken`}
                        value={reason}
                        onChange={(event) => setReason(event.target.value)}
                        helperText="In writing, such as: planned full check, or seal found broken."
                        slotProps={{ htmlInput: { maxLength: 200 } }}
                        sx={{ mb: 3 }}
                    />
                    <Button disabled={reason.trim() === ''} onClick={() => onBegin('full', reason.trim())}>
                        Full check
                    </Button>
                </Sheet>
            </Box>
        </Page>
    );
}
