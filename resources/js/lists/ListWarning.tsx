import Box from '@mui/material/Box';
import type { Schemas } from '../api/client';
import { words } from './words';

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
                    <strong>{words.unconfirmedStarterList}</strong>
                    {words.basedOn2}
                    {list.basis}
                    {words.andNobodyHereHasYet}{' '}
                </>
            )}
            {list.origin === 'house' && (
                <>
                    <strong>
                        {words.houseList}
                        {list.confirmed ? '' : words.notConfirmed}.
                    </strong>
                    {words.basedOn3}
                    {list.basis}.{' '}
                </>
            )}
            {words.yourRegulatorTheMakersInstructions}
        </Box>
    );
}
