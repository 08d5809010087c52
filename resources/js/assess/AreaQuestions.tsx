import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schemas } from '../api/client';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Sheet, Trouble } from '../ui/Page';
import { SearchPlace, usePlace } from '../ui/Search';
import { figureQuestions, riskQuestions } from './answers';
import { useAnswers } from './useAnswers';
import { words } from './words';

/** The questions about one area, each with why it is asked; answers change the plan beside them at once. */
export function AreaQuestions({ assessment, area }: { assessment: string; area: Schemas['AreaResource'] }) {
    const { answers, change, problem, isSaved, again } = useAnswers(assessment, area);
    const follows = (risk: string) => area.follows_risks.includes(risk);
    return (
        <Sheet
            title={words.questionsAndWhyTheyAre}
            beside={
                <Typography variant="caption" role="status" sx={{ color: 'text.secondary' }}>
                    {isSaved ? words.saved : problem ? words.notSaved : words.saving}
                </Typography>
            }
        >
            {problem && problem.status !== 422 && (
                <>
                    <Trouble error={problem} />
                    {problem.isPassing && <Button onClick={again}>{words.sendAgain}</Button>}
                </>
            )}
            <Row columns="minmax(0, 1fr) minmax(0, 1fr)">
                <Write
                    label={words.area}
                    value={answers.name}
                    onWrite={(name) => change({ name })}
                    problem={problem?.at('name')}
                    help={words.whatPeopleCallIt}
                />
                <Choose
                    label={words.hazard}
                    value={answers.hazard}
                    onChoose={(hazard) => change({ hazard: hazard === 'high' ? 'high' : 'low' })}
                    options={[
                        ['low', words.lowOfficesShopsGalleries],
                        ['high', words.highMachinerySawsChemicalsHeights],
                    ]}
                    helperText={words.highHazardMeansLargerKits}
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
                {words.risksFromTheWorkAnd}
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {words.eachBringsItsModuleOne}
            </Typography>
            <Box
                component="fieldset"
                aria-label={words.risksFromTheWorkAnd}
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
                                {follows(risk) && words.followsFromTheAnswers}: {why}
                            </>
                        }
                    />
                ))}
                <Tick
                    checked={!answers.running_water}
                    onTick={(on) => change({ running_water: !on })}
                    label={
                        <>
                            <strong>{words.noRunningWater}</strong>
                            {words.addsTheRinsingModule}
                        </>
                    }
                />
            </Box>
            {(area.cold_packs !== null || answers.has_freezer !== null) && (
                <Choose
                    label={words.freezerNear}
                    value={answers.has_freezer === null ? '' : answers.has_freezer ? 'yes' : 'no'}
                    empty={words.notAnswered}
                    onChoose={(said) => change({ has_freezer: said === '' ? null : said === 'yes' })}
                    options={[
                        ['yes', words.yes],
                        ['no', words.no],
                    ]}
                    helperText={words.freezerHelp}
                />
            )}
            <Where answers={answers} change={change} problem={problem?.at('places')} />
            <Write
                label={words.note}
                multiline
                minRows={2}
                value={answers.note}
                onWrite={(note) => change({ note })}
                problem={problem?.at('note')}
                help={words.whatTheAnswersRestOn}
            />
        </Sheet>
    );
}

type Answering = ReturnType<typeof useAnswers>;

function Where({ answers, change, problem }: Pick<Answering, 'answers' | 'change'> & { problem: string | undefined }) {
    return (
        <Box sx={{ my: 4 }}>
            <Typography variant="h3">{words.whereItIs}</Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                {words.kitsAtThesePlacesAnd}
            </Typography>
            {answers.places.map((id) => (
                <ChosenPlace
                    key={id}
                    id={id}
                    onRemove={() => change({ places: answers.places.filter((one) => one !== id) })}
                />
            ))}
            <Row columns="minmax(0, 1fr) minmax(0, 1fr)">
                <SearchPlace
                    label={words.addAPlace}
                    value=""
                    clears
                    onChoose={(place) => place && change({ places: [...answers.places, place] })}
                    without={answers.places}
                    error={problem !== undefined}
                    helperText={problem ?? words.aPlaceBelongsToOne}
                />
                <Write
                    label={words.whereKitsAreKept}
                    value={answers.hangs_at}
                    onWrite={(hangs_at) => change({ hangs_at })}
                    help={words.suchAsOnTheWall}
                />
            </Row>
        </Box>
    );
}

function ChosenPlace({ id, onRemove }: { id: string; onRemove: () => void }) {
    const { data: place } = usePlace(id);
    const path = place?.path ?? '';
    return (
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
            <span>{path}</span>
            <Button size="small" variant="text" aria-label={words.remove2(path)} onClick={onRemove}>
                {words.remove3}
            </Button>
        </Box>
    );
}
