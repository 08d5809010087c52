import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Choose, Write } from '../ui/Fields';
import { Empty } from '../ui/Page';
import { keyOf, type Taken, type UseDraft, type Why } from './draft';
import { words } from './words';

interface TakenListProps {
    kit: Schemas['KitResource'];
    draft: UseDraft;
    onChange: (key: string, to: Partial<Taken>) => void;
}

const whys = Object.entries(words.reasons) as [Why, string][];

/** What was taken, and why: used up, unless somebody says otherwise. */
export function TakenList({ kit, draft, onChange }: TakenListProps) {
    const rows = kit.contents.filter((row) => draft.taken[keyOf(row)] !== undefined);
    if (rows.length === 0) {
        return <Empty>{words.nothingYet}</Empty>;
    }
    const keys = Object.keys(draft.taken);
    return rows.map((row) => {
        const key = keyOf(row);
        const one = draft.taken[key];
        if (one === undefined) {
            return null;
        }
        const error = (field: string) => draft.errors[`taken.${keys.indexOf(key)}.${field}`]?.[0];
        return (
            <Box key={key} sx={{ borderTop: 1, borderColor: 'divider', py: 2, display: 'grid', gap: 2 }}>
                <Typography>
                    <strong>{one.quantity} ×</strong> {row.name}
                </Typography>
                {error('quantity') && <Typography role="alert">{error('quantity')}</Typography>}
                <Choose
                    label={words.whyOf(row.name)}
                    value={one.why}
                    onChoose={(why) => onChange(key, { why: why as Why, isOpened: false })}
                    options={whys}
                    helperText={one.why === 'training' && !one.isOpened ? words.trainingPiece : undefined}
                />
                {one.why !== 'moved' && one.why !== 'lost' && one.condition === 'good' && (
                    <Choose
                        label={words.openedOf(row.name)}
                        value={one.isOpened ? 'opened' : 'finished'}
                        onChoose={(what) => onChange(key, { isOpened: what === 'opened' })}
                        options={[
                            ['finished', words.finished],
                            ['opened', words.opened],
                        ]}
                        helperText={
                            one.isOpened
                                ? row.opened_life_days === null
                                    ? words.openedNoLonger
                                    : words.openedStillCounts(row.opened_life_days)
                                : undefined
                        }
                    />
                )}
                {one.why === 'moved' && (
                    <Write
                        label={words.toKit}
                        value={one.toKit}
                        onWrite={(toKit) => onChange(key, { toKit })}
                        problem={error('to_kit')}
                        slotProps={{ htmlInput: { maxLength: 20, autoCapitalize: 'characters' } }}
                    />
                )}
            </Box>
        );
    });
}
