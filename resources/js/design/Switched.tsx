import Typography from '@mui/material/Typography';
import { Tick } from '../ui/Fields';
import { Group } from '../ui/Group';
import type { Draft } from './packing';
import { words } from './words';

interface SwitchedProps {
    draft: Draft;
    /** What is switched, by its code or id. */
    what: 'lines' | 'slots';
    of: string;
    change: (to: (draft: Draft) => Draft) => void;
}

/** In which configurations a line or a slot is switched on; in none it is always asked for. */
export function Switched({ draft, what, of, change }: SwitchedProps) {
    if (draft.configurations.length === 0) {
        return null;
    }
    const put = (index: number, isOn: boolean) =>
        change((now) => ({
            ...now,
            configurations: now.configurations.map((one, place) =>
                place === index
                    ? { ...one, [what]: isOn ? [...one[what], of] : one[what].filter((other) => other !== of) }
                    : one,
            ),
        }));
    return (
        <Group legend={words.switchedBy}>
            {draft.configurations.map((one, index) => (
                <Tick
                    key={one.name}
                    label={one.name}
                    checked={one[what].includes(of)}
                    onTick={(isOn) => put(index, isOn)}
                />
            ))}
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {words.switchedHelp}
            </Typography>
        </Group>
    );
}
