import Box from '@mui/material/Box';
import type { Schemas } from '../api/client';

/** Says that a starter list is unconfirmed and what it rests on, wherever a document is made from it. */
export function ListWarning({ list }: { list: Schemas['ListRef'] }) {
    return (
        <Box
            sx={{
                border: 1,
                borderLeft: 6,
                borderColor: 'divider',
                borderLeftColor: 'ochre',
                borderRadius: '6px',
                p: 3,
                fontSize: 14,
                bgcolor: 'background.paper',
            }}
        >
            {list.origin === 'starter' && !list.confirmed && (
                <>
                    <strong>Unconfirmed starter list.</strong> Based on {list.basis}, and nobody here has yet compared
                    it line by line with their own copy.{' '}
                </>
            )}
            {list.origin === 'house' && (
                <>
                    <strong>House list{list.confirmed ? '' : ', not confirmed'}.</strong> Based on: {list.basis}.{' '}
                </>
            )}
            Your regulator, the makers’ instructions and licensed practice decide what a kit must hold.
        </Box>
    );
}
