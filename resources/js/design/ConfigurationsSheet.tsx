import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Write } from '../ui/Fields';
import { Empty, Sheet } from '../ui/Page';
import type { Draft } from './packing';
import { words } from './words';

interface ConfigurationsSheetProps {
    draft: Draft;
    lines: ReadonlyMap<string, Schemas['ForeseenLine']>;
    change: (to: (draft: Draft) => Draft, what?: string) => void;
}

/** The missions and seasons of a design, and what each switches on. */
export function ConfigurationsSheet({ draft, lines, change }: ConfigurationsSheetProps) {
    const set = (index: number, to: Partial<Draft['configurations'][number]>, what?: string) =>
        change(
            (now) => ({
                ...now,
                configurations: now.configurations.map((one, place) => (place === index ? { ...one, ...to } : one)),
            }),
            what,
        );
    const add = () =>
        change((now) => {
            let number = 1;
            while (now.configurations.some((one) => one.name === `${words.newConfiguration} ${number}`)) {
                number++;
            }
            return {
                ...now,
                configurations: [
                    ...now.configurations,
                    { name: `${words.newConfiguration} ${number}`, lines: [], slots: [] },
                ],
            };
        });
    return (
        <Sheet
            title={words.configurations}
            beside={
                <Button size="small" onClick={add}>
                    {words.addConfiguration}
                </Button>
            }
        >
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {words.configurationsAbout}
            </Typography>
            {draft.configurations.length === 0 && <Empty>{words.noConfigurations}</Empty>}
            {draft.configurations.map((one, index) => (
                <Box key={index} sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
                    <Write
                        label={words.configurationName}
                        size="small"
                        fullWidth
                        value={one.name}
                        onWrite={(name) => set(index, { name }, `configuration ${index}`)}
                        slotProps={{ htmlInput: { maxLength: 60 } }}
                    />
                    <Typography variant="body2" sx={{ mt: 1 }}>
                        {words.switches}{' '}
                        {one.lines.length + one.slots.length === 0
                            ? words.switchesNothing
                            : [
                                  ...one.lines.map((code) => lines.get(code)?.need ?? code),
                                  ...one.slots.map(
                                      (id) => draft.compartments.find((slot) => slot.id === id)?.name ?? '',
                                  ),
                              ].join(', ')}
                    </Typography>
                    <Button
                        size="small"
                        color="error"
                        onClick={() =>
                            change((now) => ({
                                ...now,
                                configurations: now.configurations.filter((_, place) => place !== index),
                            }))
                        }
                    >
                        {words.removeConfiguration(one.name)}
                    </Button>
                </Box>
            ))}
        </Sheet>
    );
}
