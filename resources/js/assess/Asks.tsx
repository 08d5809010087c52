import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { questions } from '../api/queries';
import { Notice } from '../ui/Notice';
import { words } from './words';

/** What asks for the planner's attention: assessments to be made again, first aiders too few, qualifications that run out. */
export function Asks() {
    const { data: asks } = useQuery(questions.asks());
    if (!asks || asks.length === 0) {
        return null;
    }
    return (
        <Notice>
            <strong>{words.reviewDue}</strong>
            <Box component="ul" sx={{ m: 0, mt: 1, pl: 5 }}>
                {asks.map((ask) => (
                    <li key={ask.text}>
                        <Link to={ask.kind === 'assessment' ? ask.href : '/assess'} style={{ color: 'inherit' }}>
                            {ask.text}
                        </Link>
                    </li>
                ))}
            </Box>
        </Notice>
    );
}
