import Box from '@mui/material/Box';
import { signOf } from './signs';

/** The drawn sign of a class of items. It stands beside the item's name and says nothing by itself. */
export function Sign({ of, size = 20 }: { of: string; size?: number }) {
    return (
        <Box
            component="svg"
            viewBox="0 0 24 24"
            aria-hidden
            sx={{ width: size, height: size, flex: 'none', display: 'block', color: 'text.secondary' }}
        >
            <path
                d={signOf(of)}
                fill="none"
                stroke="currentColor"
                strokeWidth={1.6}
                strokeLinecap="round"
                strokeLinejoin="round"
            />
        </Box>
    );
}
