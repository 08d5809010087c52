import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { questions, type Whose } from '../api/queries';
import { TaskList } from '../pack/KitTasks';
import { Sheet } from '../ui/Page';
import { count } from '../ui/words';
import { words } from './words';

/** Work that was given to somebody with a day: one's own, or everybody's. */
export function Given({ whose }: { whose: Whose }) {
    const { data } = useQuery({
        ...questions.kitTasks(whose === 'mine' ? 'mine' : 'all'),
        enabled: whose !== 'nobody',
    });
    if (!data || data.tasks.length === 0 || whose === 'nobody') {
        return null;
    }
    return (
        <Sheet title={whose === 'mine' ? words.givenToYou : words.givenTasks(count(data.in_all, 'task'))}>
            <TaskList tasks={data.tasks} withKit />
            {data.in_all > data.tasks.length && (
                <Typography variant="body2">{words.moreTasks(data.in_all - data.tasks.length)}</Typography>
            )}
        </Sheet>
    );
}
