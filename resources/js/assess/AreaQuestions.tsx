import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Sheet, Trouble } from '../ui/Page';
import { figureQuestions, riskQuestions } from './answers';
import { useAnswers } from './useAnswers';

/** The questions about one area, each with why it is asked; answers change the plan beside them at once. */
export function AreaQuestions({ assessment, area }: { assessment: string; area: Schemas['AreaResource'] }) {
    const { answers, change, problem, isSaved, again } = useAnswers(assessment, area);
    const follows = (risk: string) => area.follows_risks.includes(risk);
    return (
        <Sheet
            title="Questions, and why they are asked"
            beside={
                <Typography variant="caption" role="status" sx={{ color: 'text.secondary' }}>
                    {isSaved ? 'Saved' : problem ? 'Not saved' : 'Saving…'}
                </Typography>
            }
        >
            {problem && problem.status !== 422 && (
                <>
                    <Trouble error={problem} />
                    {problem.isPassing && <Button onClick={again}>Send again</Button>}
                </>
            )}
            <Row columns="minmax(0, 1fr) minmax(0, 1fr)">
                <Write
                    label="Area"
                    value={answers.name}
                    onWrite={(name) => change({ name })}
                    problem={problem?.at('name')}
                    help="What people call it."
                />
                <Choose
                    label="Hazard"
                    value={answers.hazard}
                    onChoose={(hazard) => change({ hazard: hazard === 'high' ? 'high' : 'low' })}
                    options={[
                        ['low', 'low: offices, shops, galleries'],
                        ['high', 'high: machinery, saws, chemicals, heights'],
                    ]}
                    helperText="High hazard means larger kits for fewer people."
                />
            </Row>
            <Box
                sx={{
                    display: 'grid',
                    gap: 3,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'repeat(2, minmax(0, 1fr))' },
                }}
            >
                {figureQuestions.map(({ key, label, why }) => (
                    <Write
                        key={key}
                        label={label}
                        value={answers[key]}
                        onWrite={(typed) => change({ [key]: typed })}
                        problem={problem?.at(key)}
                        help={why}
                        slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                    />
                ))}
            </Box>
            <Typography variant="h3" sx={{ mt: 4 }}>
                Risks from the work and its tools
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                Each brings its module: one for the area in minimum provision, one for each point in full provision.
            </Typography>
            <Box
                component="fieldset"
                aria-label="Risks from the work and its tools"
                sx={{
                    border: 0,
                    p: 0,
                    m: 0,
                    display: 'grid',
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'repeat(2, minmax(0, 1fr))' },
                }}
            >
                {riskQuestions.map(({ risk, label, why }) => (
                    <Tick
                        key={risk}
                        checked={answers.risks.includes(risk)}
                        onTick={(on) =>
                            change({
                                risks: on ? [...answers.risks, risk] : answers.risks.filter((one) => one !== risk),
                            })
                        }
                        label={
                            <>
                                <strong>{label}</strong>
                                {follows(risk) && ' (follows from the answers)'}: {why}
                            </>
                        }
                    />
                ))}
                <Tick
                    checked={!answers.running_water}
                    onTick={(on) => change({ running_water: !on })}
                    label={
                        <>
                            <strong>No running water</strong>: adds the rinsing module
                        </>
                    }
                />
            </Box>
            <Where answers={answers} change={change} problem={problem?.at('places')} />
            <Write
                label="Note"
                multiline
                minRows={2}
                value={answers.note}
                onWrite={(note) => change({ note })}
                problem={problem?.at('note')}
                help="What the answers rest on: who was asked, what was seen."
            />
        </Sheet>
    );
}

type Answering = ReturnType<typeof useAnswers>;

function Where({ answers, change, problem }: Pick<Answering, 'answers' | 'change'> & { problem: string | undefined }) {
    const { data: places = [] } = useQuery(questions.places());
    const chosen = places.filter((place) => answers.places.includes(place.id));
    return (
        <Box sx={{ my: 4 }}>
            <Typography variant="h3">Where it is</Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                Kits at these places, and at places within them, count as the area’s. New kits are placed at the first.
            </Typography>
            {chosen.map((place) => (
                <Box key={place.id} sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
                    <span>{place.path}</span>
                    <Button
                        size="small"
                        variant="text"
                        aria-label={`Remove ${place.path}`}
                        onClick={() => change({ places: answers.places.filter((one) => one !== place.id) })}
                    >
                        Remove
                    </Button>
                </Box>
            ))}
            <Row columns="minmax(0, 1fr) minmax(0, 1fr)">
                <Choose
                    label="Add a place"
                    value=""
                    empty="Choose one"
                    onChoose={(place) => place && change({ places: [...answers.places, place] })}
                    options={places
                        .filter((place) => !answers.places.includes(place.id))
                        .map((place) => [place.id, place.path] as const)}
                    error={problem !== undefined}
                    helperText={problem ?? 'A place belongs to one area.'}
                />
                <Write
                    label="Where kits are kept"
                    value={answers.hangs_at}
                    onWrite={(hangs_at) => change({ hangs_at })}
                    help="Such as: on the wall by the basin."
                />
            </Row>
        </Box>
    );
}
