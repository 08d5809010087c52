import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Whose } from '../api/firstQuestions';
import { questions } from '../api/queries';
import { TaskList } from '../pack/KitTasks';
import { Sheet } from '../ui/Page';
import { count, sayDay } from '../ui/words';
import { words } from './words';

/** Work that was given to somebody with a day: one's own, or everybody's. */
export function Given({ whose }: { whose: Whose }) {
    const { data } = useQuery({
        ...questions.kitTasks(whose === 'mine' ? 'mine' : 'all'),
        enabled: whose !== 'nobody',
    });
    if (!data || data.tasks.length + data.plan.length === 0 || whose === 'nobody') {
        return null;
    }
    return (
        <Sheet
            title={
                whose === 'mine' ? words.givenToYou : words.givenTasks(count(data.in_all + data.plan.length, 'task'))
            }
        >
            <TaskList tasks={data.tasks} withKit />
            {data.plan.map((task) => (
                <Box key={task.id} sx={{ borderTop: 1, borderColor: 'divider', py: 2, mt: 2 }}>
                    <Typography sx={{ fontWeight: 600, overflowWrap: 'anywhere' }}>{task.text}</Typography>
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        <Link to={`/assess/${task.assessment}/work`} style={{ color: 'inherit' }}>
                            {words.thePlan}
                        </Link>
                        {words.planTaskOf(task.user, sayDay(task.due_on))}
                        {task.is_overdue && <strong>{words.dayHasPassed}</strong>}
                    </Typography>
                </Box>
            ))}
            {data.in_all > data.tasks.length && (
                <Typography variant="body2">{words.moreTasks(data.in_all - data.tasks.length)}</Typography>
            )}
        </Sheet>
    );
}
