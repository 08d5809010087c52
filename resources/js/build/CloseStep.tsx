import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { RestockTrouble } from '../restock/RestockState';
import { Write } from '../ui/Fields';
import { count } from '../ui/words';
import { apartBy, builds, finish, leftOver, massOf, pocketsOf, tasksIn, wholeOf, type BuildDraft } from './draft';
import type { Build } from './useBuild';
import { words } from './words';

const grams = (mass: number) => `${mass.toLocaleString('en-GB')} g`;

/** What keeps it from being recorded: a figure that is none, or more put back than came out. */
const isUnsettled = (draft: BuildDraft): boolean =>
    draft.pieces.some((piece) => wholeOf(piece.found) === null || leftOver(draft, piece) < 0) ||
    draft.puts.some((put) => put.isDone && wholeOf(put.quantity) === null) ||
    (draft.weighed !== '' && wholeOf(draft.weighed) === null);

/** What it weighs beside what is calculated, the seal, and that it is recorded. */
export function CloseStep({ kit, build }: { kit: Schemas['KitResource']; build: Build }) {
    const { draft, set } = build;
    const { errors } = draft;
    const mass = massOf(draft);
    const apart = apartBy(draft);
    const notTicked = draft.puts.filter((put) => !put.isDone).length;
    const notPrepared = pocketsOf(draft)
        .flatMap((pocket) => tasksIn(draft, pocket))
        .filter(({ key }) => draft.tasks[key] !== true).length;
    return (
        <Box sx={{ display: 'grid', gap: 3 }}>
            <Typography>
                {words.massCalculated(grams(mass))} {draft.maxMass !== null && words.massLimit(grams(draft.maxMass))}{' '}
                {draft.maxMass !== null && mass > draft.maxMass && <strong>{words.tooHeavy}</strong>}
            </Typography>
            <Write
                label={words.weighed}
                value={draft.weighed}
                onWrite={(typed) => set(() => ({ weighed: typed.trim() }))}
                problem={
                    draft.weighed !== '' && wholeOf(draft.weighed) === null
                        ? words.weighedIsWhole
                        : errors.weighed_g?.[0]
                }
                help={words.weighedHelp}
                slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 7 } }}
            />
            {(apart !== null || errors.weighed_because !== undefined) && (
                <Write
                    label={words.weighedBecause}
                    value={draft.weighedBecause}
                    onWrite={(weighedBecause) => set(() => ({ weighedBecause }))}
                    problem={errors.weighed_because?.[0]}
                    help={apart !== null && words.apart(grams(apart), draft.askOver ?? 0)}
                    slotProps={{ htmlInput: { maxLength: 200 } }}
                />
            )}
            {kit.seal.state === 'intact' && (
                <Write
                    label={words.sealReason}
                    value={draft.sealReason}
                    onWrite={(sealReason) => set(() => ({ sealReason }))}
                    problem={errors.seal_reason?.[0]}
                    help={words.sealReasonHelp}
                    slotProps={{ htmlInput: { maxLength: 200 } }}
                />
            )}
            {(kit.sealed_design || kit.seal.state === 'intact') && (
                <Write
                    label={words.sealSet}
                    value={draft.sealSet}
                    onWrite={(sealSet) => set(() => ({ sealSet }))}
                    problem={errors.seal_set?.[0]}
                    help={words.sealSetHelp}
                    slotProps={{ htmlInput: { maxLength: 40 } }}
                />
            )}
            <RestockTrouble draft={draft} />
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {notTicked > 0 && `${words.notTicked(count(notTicked, 'row is', 'rows are'))} `}
                {notPrepared > 0 && `${words.notPrepared(count(notPrepared, 'preparation is', 'preparations are'))} `}
                {words.aCheckFollows}
            </Typography>
            <Box>
                <Button
                    variant="contained"
                    disabled={
                        draft.isWaiting ||
                        isUnsettled(draft) ||
                        (apart !== null && draft.weighedBecause.trim() === '') ||
                        (kit.seal.state === 'intact' && draft.sealReason.trim() === '')
                    }
                    onClick={() => builds.keep(finish(draft))}
                    sx={{ minHeight: { xs: 56, md: 44 } }}
                >
                    {words.record}
                </Button>
            </Box>
        </Box>
    );
}
