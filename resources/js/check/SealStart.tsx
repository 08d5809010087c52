import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Notes } from '../pack/Notes';
import { Page, Sheet } from '../ui/Page';
import { words } from './words';

interface SealStartProps {
    kit: Schemas['KitResource'];
    onBegin: (kind: 'full' | 'quick', reason: string) => void;
}

/** A sealed kit: look at the seal, or open the kit and say why. */
export function SealStart({ kit, onBegin }: SealStartProps) {
    const [reason, setReason] = useState('');
    return (
        <Page
            title={words.check3(kit.code, kit.name)}
            above={<Typography sx={{ color: 'text.secondary' }}>{kit.place.path}</Typography>}
        >
            <Notes notes={kit.notes} of={kit.code} />
            <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: { md: '1fr 1fr' }, maxWidth: 1000 }}>
                <Sheet title={words.theSealIsIntact}>
                    <Typography sx={{ mb: 3 }}>
                        {words.anIntactSealConfirmsThat}
                        {kit.due.text}
                    </Typography>
                    <Button variant="contained" onClick={() => onBegin('quick', '')}>
                        {words.quickCheck}
                    </Button>
                </Sheet>
                <Sheet title={words.openItForAFull}>
                    <TextField
                        label={words.whySealIsBroken}
                        value={reason}
                        onChange={(event) => setReason(event.target.value)}
                        helperText={words.inWritingSuchAsPlanned}
                        slotProps={{ htmlInput: { maxLength: 200 } }}
                        sx={{ mb: 3 }}
                    />
                    <Button disabled={reason.trim() === ''} onClick={() => onBegin('full', reason.trim())}>
                        {words.fullCheck}
                    </Button>
                </Sheet>
            </Box>
        </Page>
    );
}
