import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { dailyQuestions } from '../api/dailyQuestions';
import { useSession } from '../session/useSession';
import { Sheet } from '../ui/Page';
import { sayInstant } from '../ui/words';
import { words as said } from './words';

const words = said.rounds;

/** Rounds that somebody began and that are not done: whoever restocks may go on with them. */
export function OpenRounds() {
    const { data: rounds = [] } = useQuery(dailyQuestions.rounds());
    const { timeZone } = useSession();
    if (rounds.length === 0) {
        return null;
    }
    return (
        <Sheet title={words.roundsOpen}>
            {rounds.map((round) => (
                <Box
                    key={round.id}
                    sx={{
                        display: 'flex',
                        flexWrap: 'wrap',
                        gap: 3,
                        alignItems: 'center',
                        borderTop: 1,
                        borderColor: 'divider',
                        py: 2,
                    }}
                >
                    <Box sx={{ flex: 1, minWidth: 200 }}>
                        <Typography>
                            {words.roundLine(round.store, round.made_by, sayInstant(round.made_at, timeZone))}
                        </Typography>
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                            {words.doneOf(round.done, round.kits)}
                        </Typography>
                    </Box>
                    <Button
                        component={Link}
                        to={`/rounds/${round.id}`}
                        variant="contained"
                        aria-label={words.goOnWith(round.store)}
                    >
                        {words.goOn}
                    </Button>
                </Box>
            ))}
        </Sheet>
    );
}
