import Box from '@mui/material/Box';
import { create } from 'qrcode';

/** Clear space around it, in modules. */
const QUIET = 4;

/** A text as a QR code, black on white in any theme. */
export function Code({ text, name }: { text: string; name: string }) {
    const { modules } = create(text, { errorCorrectionLevel: 'M' });
    const size = modules.size + 2 * QUIET;
    const dark = Array.from({ length: modules.size * modules.size }, (_, at) => at)
        .filter((at) => modules.data[at])
        .map((at) => `M${(at % modules.size) + QUIET} ${Math.floor(at / modules.size) + QUIET}h1v1h-1z`)
        .join('');
    return (
        <Box
            component="svg"
            viewBox={`0 0 ${size} ${size}`}
            role="img"
            aria-label={name}
            shapeRendering="crispEdges"
            sx={{ width: '100%', display: 'block', bgcolor: '#fff' }}
        >
            <path d={dark} fill="#000" />
        </Box>
    );
}
