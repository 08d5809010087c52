import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { words } from './words';

const keys = [
    ['↑ ↓', words.theLineBeforeTheLine],
    [words.of0To9, words.howManyAreThere],
    ['Enter', words.asRecordedAndOnTo],
    [words.shiftEnter, words.theWholePocketAsRecorded],
    ['D', words.theDateTypedAsPrinted],
    ['C', words.theCondition],
    ['N', words.theNextPocket],
    ['/', words.goToTheFinder],
    ['?', words.theseKeys],
] as const;

export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
    return (
        <Dialog open={open} onClose={onClose} aria-labelledby="keys">
            <DialogTitle id="keys">{words.keysWhileCounting}</DialogTitle>
            <DialogContent>
                <Box
                    component="dl"
                    sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '8px 20px', m: 0, '& dd': { m: 0 } }}
                >
                    {keys.map(([key, does]) => (
                        <Box key={key} sx={{ display: 'contents' }}>
                            <Box component="dt" sx={{ fontWeight: 700 }}>
                                {key}
                            </Box>
                            <dd>{does}</dd>
                        </Box>
                    ))}
                </Box>
            </DialogContent>
            <DialogActions>
                <Button onClick={onClose} autoFocus>
                    {words.continueCounting}
                </Button>
            </DialogActions>
        </Dialog>
    );
}
