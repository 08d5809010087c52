import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import GlobalStyles from '@mui/material/GlobalStyles';
import { useState, type ReactNode } from 'react';
import { Choose } from './Fields';
import { words } from './words';

const sheets = { A4: 'A4', Letter: 'letter' } as const;

/** A document to print: black on white, on A4 or Letter, with nothing of the screen around it. */
export function Printed({ children }: { children: ReactNode }) {
    const [sheet, setSheet] = useState<keyof typeof sheets>('A4');
    return (
        <>
            <GlobalStyles
                styles={{
                    '@page': { size: sheets[sheet], margin: '16mm' },
                    '@media print': {
                        'nav, header, .not-printed, h1': { display: 'none !important' },
                        'html, body, main, .printed': { background: '#fff !important', color: '#000 !important' },
                        main: { padding: '0 !important' },
                        '.printed': { border: '0 !important', padding: '0 !important', maxWidth: 'none !important' },
                        '.printed tr': { breakInside: 'avoid' },
                        '.printed h2, .printed h3': { breakAfter: 'avoid' },
                    },
                }}
            />
            <Box className="not-printed" sx={{ display: 'flex', gap: 2, mb: 4, alignItems: 'start' }}>
                <Choose
                    label={words.paper}
                    value={sheet}
                    onChoose={(value) => setSheet(value === 'Letter' ? 'Letter' : 'A4')}
                    options={[
                        ['A4', 'A4'],
                        ['Letter', 'Letter'],
                    ]}
                    sx={{ width: 140 }}
                />
                <Button variant="contained" onClick={() => window.print()}>
                    {words.print}
                </Button>
            </Box>
            <Box
                className="printed"
                sx={{
                    bgcolor: '#fff',
                    color: '#000',
                    border: 1,
                    borderColor: 'divider',
                    p: { xs: 3, md: 8 },
                    maxWidth: 900,
                    '& h2': { fontSize: 20, mt: 6, mb: 2 },
                    '& h3': { fontSize: 16, mt: 4, mb: 1 },
                    '& table': { width: '100%', borderCollapse: 'collapse', fontSize: 13 },
                    '& td, & th': {
                        textAlign: 'left',
                        verticalAlign: 'top',
                        borderTop: '1px solid #777',
                        p: '4px 10px 4px 0',
                        // A long lot number breaks rather than widening the page in hand.
                        overflowWrap: 'anywhere',
                    },
                    '& .n': { textAlign: 'right', whiteSpace: 'nowrap', width: 72 },
                }}
            >
                {children}
            </Box>
        </>
    );
}
