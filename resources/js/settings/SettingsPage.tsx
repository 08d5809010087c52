import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { Search } from '../ui/Search';
import { useSession } from '../session/useSession';
import { useForeseen } from '../ui/Foreseen';
import { ChangesAsked, consequences } from './ChangesAsked';
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
    const [name, setName] = useState(organisation.name);
    const [zone, setZone] = useState(organisation.time_zone);
    const [factor, setFactor] = useState(organisation.factor_required);
    const [staging, setStaging] = useState(organisation.asks_staging);
    const zones = useMemo(() => Intl.supportedValuesOf('timeZone'), []);
    const [asked, setAsked] = useState<string[] | null>(null);
    const body = {
        name,
        time_zone: zone,
        factor_required: factor,
        asks_staging: staging,
        length_unit: length,
        mass_unit: mass,
        volume_unit: volume,
        currency,
        people_kept_days: /^\d+$/.test(days) ? Number(days) : -1,
    };
    const keep = useForeseen({
        write: (headers) => ask(api.PUT('/organisation', { headers, body })),
        onSuccess: () => client.invalidateQueries(),
    });
    const problem = isProblem(keep.error) ? keep.error : null;
    return (
        <Page title={words.settings}>
            <SettingsLinks />
            <Box sx={{ maxWidth: 980 }}>
                <Sheet title={words.organisationSheet}>
                    <Row columns="minmax(0, 2fr) minmax(0, 1fr)">
                        <Write
                            label={words.organisationName}
                            value={name}
                            disabled={!may('plan')}
                            onWrite={setName}
                            problem={problem?.at('name')}
                        />
                        <Search
                            label={words.timeZone}
                            value={zone}
                            disabled={!may('plan')}
                            options={(zones.includes(zone) ? zones : [zone, ...zones]).map(
                                (one) => [one, one.replaceAll('_', ' ')] as const,
                            )}
                            onChoose={setZone}
                            error={problem?.at('time_zone') !== undefined}
                            helperText={problem?.at('time_zone') ?? words.zoneChange}
                        />
                    </Row>
                    {may('plan') && <Tick label={words.requireFactor} checked={factor} onTick={setFactor} />}
                    {may('plan') && (
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                            {words.requireFactorAbout}
                        </Typography>
                    )}
                    {may('plan') && <Tick label={words.askStaging} checked={staging} onTick={setStaging} />}
                    {may('plan') && (
                        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                            {words.askStagingAbout}
                        </Typography>
                    )}
                </Sheet>
                <Sheet title={words.unitsSheet}>
                    <p>{words.measuresAreStoredAsEntered}</p>
                    <Row columns="repeat(4, minmax(0, 1fr))">
                        <Choose
                            label={words.lengths}
                            value={length}
                            disabled={!may('plan')}
                            onChoose={(unit) => setLength(unit === 'mm' || unit === 'in' ? unit : 'cm')}
                            options={words.lengthUnits}
                        />
                        <Choose
                            label={words.masses}
                            value={mass}
                            disabled={!may('plan')}
                            onChoose={(unit) => setMass(unit === 'oz' ? 'oz' : 'g')}
                            options={words.massUnits}
                        />
                        <Choose
                            label={words.volumes}
                            value={volume}
                            disabled={!may('plan')}
                            onChoose={(unit) => setVolume(unit === 'floz' ? 'floz' : 'ml')}
                            options={words.volumeUnits}
                        />
                        <Write
                            label={words.currency}
                            value={currency}
                            disabled={!may('plan')}
                            onWrite={(typed) => setCurrency(typed.toUpperCase())}
                            problem={problem?.at('currency')}
                            help={`${words.threeLettersSuchAsGbp} ${words.currencyChange}`}
                        />
                    </Row>
                </Sheet>
                <Sheet title={words.retentionSheet}>
                    <Write
                        label={words.daysToKeepRecordsAbout}
                        value={days}
                        disabled={!may('plan')}
                        onWrite={setDays}
                        problem={problem?.at('people_kept_days')}
                        help={words.afterAFirstAiderLeaves}
                    />
                </Sheet>
                {may('plan') && (
                    <Button
                        variant="contained"
                        disabled={keep.isPending}
                        onClick={() => {
                            const said = consequences(organisation, body);
                            if (said.length > 0) {
                                setAsked(said);
                            } else {
                                keep.begin();
                            }
                        }}
                    >
                        {words.save}
                    </Button>
                )}
                {keep.isSuccess && <span role="status">{words.saved}</span>}
                {problem && problem.status !== 422 && <Trouble error={problem} />}
            </Box>
            {asked && (
                <ChangesAsked
                    said={asked}
                    onClose={() => setAsked(null)}
                    onSave={() => {
                        setAsked(null);
                        keep.begin();
                    }}
                />
            )}
            {keep.dialog}
        </Page>
    );
}

/** The other settings, each on a page of its own. */
function SettingsLinks() {
    const { may } = useSession();
    const links = [
        ['/account', words.yourAccount, true],
        ['/start', words.start, may('plan')],
        ['/start/reference', words.reference, may('plan')],
        ['/settings/people', words.peopleAndRoles, may('plan')],
        ['/places', words.placesWord, true],
        ['/stores', words.storesWord, true],
        ['/settings/policies', words.policies, true],
        ['/assess/shifts', words.shiftsWord, may('plan')],
        ['/assess/people', words.firstAidersWord, may('plan')],
        ['/assess/choices', words.provisionChoices, true],
        ['/classes', words.itemClasses, true],
        ['/emergencies', words.emergencyKinds, true],
        ['/settings/mail', words.mailTray, may('plan')],
    ] as const;
    return (
        <Box component="nav" aria-label={words.settings} sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mb: 4 }}>
            {links
                .filter(([, , isShown]) => isShown)
                .map(([to, word]) => (
                    <Button key={to} component={Link} to={to}>
                        {word}
                    </Button>
                ))}
        </Box>
    );
}
