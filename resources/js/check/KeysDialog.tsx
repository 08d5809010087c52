import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';

const keys = [
    ['↑ ↓', 'the line before, the line after'],
    ['0 to 9', 'how many are there'],
    ['Enter', 'as recorded, and on to the next line'],
    ['Shift + Enter', 'the whole pocket as recorded'],
    ['D', 'the date, typed as printed'],
    ['C', 'the condition'],
    ['N', 'the next pocket'],
    ['/', 'go to the finder'],
    ['?', 'these keys'],
] as const;

export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
    return (
        <Dialog open={open} onClose={onClose} aria-labelledby="keys">
            <DialogTitle id="keys">Keys while counting</DialogTitle>
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
                    Continue counting
                </Button>
            </DialogActions>
        </Dialog>
    );
}
