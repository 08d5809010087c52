import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Row, Write } from '../ui/Fields';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { useSession } from './useSession';
import { useForeseen } from '../ui/Foreseen';
import { words } from './words';

/** Units, money, and how long records about people are kept. */
export default function SettingsPage() {
    const { data: organisation, error } = useQuery(questions.organisation());
    return organisation ? <Settings organisation={organisation} /> : <Waiting error={error} />;
}

function Settings({ organisation }: { organisation: Schemas['OrganisationResource'] }) {
    const client = useQueryClient();
    const { may } = useSession();
    const [length, setLength] = useState(organisation.length_unit);
    const [mass, setMass] = useState(organisation.mass_unit);
    const [volume, setVolume] = useState(organisation.volume_unit);
    const [currency, setCurrency] = useState(organisation.currency);
    const [days, setDays] = useState(String(organisation.people_kept_days));
    const keep = useForeseen({
        write: (headers) =>
            ask(
                api.PUT('/organisation', {
                    headers,
                    body: {
                        length_unit: length,
                        mass_unit: mass,
                        volume_unit: volume,
                        currency,
                        people_kept_days: /^\d+$/.test(days) ? Number(days) : -1,
                    },
                }),
            ),
        onSuccess: () => client.invalidateQueries(),
    });
    const problem = isProblem(keep.error) ? keep.error : null;
    return (
        <Page title={words.settings}>
            <Sheet title={organisation.name}>
                <p>{words.measuresAreStoredAsEntered}</p>
                <Row columns="repeat(3, minmax(0, 1fr))">
                    <Choose
                        label={words.lengths}
                        value={length}
                        disabled={!may('plan')}
                        onChoose={(unit) => setLength(unit === 'mm' || unit === 'in' ? unit : 'cm')}
                        options={[
                            ['cm', 'centimetres'],
                            ['mm', 'millimetres'],
                            ['in', 'inches'],
                        ]}
                    />
                    <Choose
                        label={words.masses}
                        value={mass}
                        disabled={!may('plan')}
                        onChoose={(unit) => setMass(unit === 'oz' ? 'oz' : 'g')}
                        options={[
                            ['g', 'grams'],
                            ['oz', 'ounces'],
                        ]}
                    />
                    <Choose
                        label={words.volumes}
                        value={volume}
                        disabled={!may('plan')}
                        onChoose={(unit) => setVolume(unit === 'floz' ? 'floz' : 'ml')}
                        options={[
                            ['ml', 'millilitres'],
                            ['floz', words.fluidOunces],
                        ]}
                    />
                </Row>
                <Row columns="repeat(2, minmax(0, 1fr))">
                    <Write
                        label={words.currency}
                        value={currency}
                        disabled={!may('plan')}
                        onWrite={(typed) => setCurrency(typed.toUpperCase())}
                        problem={problem?.at('currency')}
                        help={words.threeLettersSuchAsGbp}
                    />
                    <Write
                        label={words.daysToKeepRecordsAbout}
                        value={days}
                        disabled={!may('plan')}
                        onWrite={setDays}
                        problem={problem?.at('people_kept_days')}
                        help={words.afterAFirstAiderLeaves}
                    />
                </Row>
                {may('plan') && (
                    <Button variant="contained" onClick={() => keep.begin()} disabled={keep.isPending}>
                        {words.save}
                    </Button>
                )}
                {keep.isSuccess && <span role="status">{words.saved}</span>}
                {problem && problem.status !== 422 && <Trouble error={problem} />}
            </Sheet>
            {keep.dialog}
        </Page>
    );
}
