import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { designQuestions } from '../api/designQuestions';
import { useSession } from '../session/useSession';
import { KitLink } from '../ui/KitLink';
import { Sheet } from '../ui/Page';
import { count, sayDay } from '../ui/words';
import { words } from './words';

/** Kits that keep an older edition of their design: each is to follow, by adding, moving and removing. */
export function Following() {
    const { may } = useSession();
    const { data } = useQuery(designQuestions.following());
    if (!data || data.in_all === 0) {
        return null;
    }
    return (
        <Sheet
            title={words.editionsToFollow}
            beside={
                data.in_all > data.kits.length ? (
                    <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                        {words.firstOf(data.kits.length, count(data.in_all, 'kit'))}
                    </Typography>
                ) : undefined
            }
        >
            {data.kits.map((row) => (
                <Box
                    key={row.kit}
                    sx={{
                        display: 'grid',
                        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) auto' },
                        gap: '4px 16px',
                        alignItems: 'center',
                        py: 1,
                        borderBottom: 1,
                        borderColor: 'divider',
                        '&:last-of-type': { borderBottom: 0 },
                    }}
                >
                    <Box sx={{ minWidth: 0 }}>
                        <KitLink code={row.kit} name={row.name} />
                        <Typography variant="body2">
                            <Box component="span" sx={{ color: 'text.secondary' }}>
                                {row.place}
                            </Box>
                            {' · '}
                            {words.followEdition(row.latest, row.design, row.number)}
                            {row.ended !== null &&
                                row.ended_on !== null &&
                                words.exceptionEnded(row.ended, sayDay(row.ended_on))}
                        </Typography>
                    </Box>
                    {may('restock') && (
                        <Button
                            component={Link}
                            to={`/kits/${row.kit}/adoption`}
                            aria-label={words.seeWhatChangesIn(row.kit)}
                        >
                            {words.seeWhatChanges}
                        </Button>
                    )}
                </Box>
            ))}
        </Sheet>
    );
}
