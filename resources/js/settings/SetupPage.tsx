import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask, isProblem, keepToken } from '../api/client';
import { Choose, Row, Tick, Write } from '../ui/Fields';
import { Group } from '../ui/Group';
import { Trouble } from '../ui/Page';
import { Search } from '../ui/Search';
import { Doorway } from './Doorway';
import { words } from './words';

const here = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** The first of all: the code from the machine, the organisation, and its first lead. */
export default function SetupPage() {
    const { data: setup } = useQuery({ queryKey: ['setup'], queryFn: () => ask(api.GET('/setup')), retry: false });
    const [typed, setTyped] = useState({
        code: '',
        organisation: '',
        time_zone: here,
        currency: 'GBP',
        length_unit: 'cm' as 'cm' | 'mm' | 'in',
        mass_unit: 'g' as 'g' | 'oz',
        volume_unit: 'ml' as 'ml' | 'floz',
        days: '365',
        with_catalogue: true,
        name: '',
        email: '',
        password: '',
    });
    const set = (to: Partial<typeof typed>) => setTyped({ ...typed, ...to });
    useEffect(() => {
        document.title = words.setUpSarcina;
    }, []);
    const save = useMutation({
        mutationFn: async () => {
            const { days, ...body } = typed;
            keepToken((await ask(api.GET('/session'))).csrf);
            await api
                .POST('/setup', { body: { ...body, people_kept_days: /^\d+$/.test(days) ? Number(days) : -1 } })
                .then(async ({ response, error }) => {
                    if (!response.ok) {
                        await ask(Promise.resolve({ error, response }));
                    }
                });
            const session = await ask(api.POST('/session', { body: { email: typed.email, password: typed.password } }));
            keepToken(session.csrf);
        },
        onSuccess: () => window.location.assign('/start'),
    });
    const problem = isProblem(save.error) ? save.error : null;
    return (
        <Doorway title={words.setUpYourOrganisation} about={words.setUpAbout}>
            <Box
                component="form"
                noValidate
                onSubmit={(event) => {
                    event.preventDefault();
                    save.mutate();
                }}
                sx={{ display: 'grid', gap: 4 }}
            >
                <Write
                    label={words.setupCode}
                    value={typed.code}
                    autoFocus
                    onWrite={(code) => set({ code })}
                    problem={problem?.at('code')}
                    help={words.setupCodeHelp}
                />
                <Group legend={words.yourOrganisation}>
                    <Write
                        label={words.organisationName}
                        value={typed.organisation}
                        fullWidth
                        onWrite={(organisation) => set({ organisation })}
                        problem={problem?.at('organisation')}
                    />
                    <Row columns="minmax(0, 2fr) minmax(0, 1fr)">
                        <Search
                            label={words.timeZone}
                            value={typed.time_zone}
                            options={(setup?.time_zones ?? [here]).map(
                                (zone) => [zone, zone.replaceAll('_', ' ')] as const,
                            )}
                            onChoose={(time_zone) => set({ time_zone })}
                            error={problem?.at('time_zone') !== undefined}
                            helperText={problem?.at('time_zone') ?? words.timeZoneHelp}
                        />
                        <Write
                            label={words.currency}
                            value={typed.currency}
                            onWrite={(currency) => set({ currency: currency.toUpperCase() })}
                            problem={problem?.at('currency')}
                            help={words.threeLettersSuchAsGbp}
                        />
                    </Row>
                    <Row columns="repeat(3, minmax(0, 1fr))">
                        <Choose
                            label={words.lengths}
                            value={typed.length_unit}
                            onChoose={(unit) => set({ length_unit: unit === 'mm' || unit === 'in' ? unit : 'cm' })}
                            options={words.lengthUnits}
                        />
                        <Choose
                            label={words.masses}
                            value={typed.mass_unit}
                            onChoose={(unit) => set({ mass_unit: unit === 'oz' ? 'oz' : 'g' })}
                            options={words.massUnits}
                        />
                        <Choose
                            label={words.volumes}
                            value={typed.volume_unit}
                            onChoose={(unit) => set({ volume_unit: unit === 'floz' ? 'floz' : 'ml' })}
                            options={words.volumeUnits}
                        />
                    </Row>
                    <Write
                        label={words.daysToKeepRecordsAbout}
                        value={typed.days}
                        onWrite={(days) => set({ days })}
                        problem={problem?.at('people_kept_days')}
                        help={words.afterAFirstAiderLeaves}
                    />
                    <Tick
                        label={words.withCatalogue}
                        checked={typed.with_catalogue}
                        onTick={(with_catalogue) => set({ with_catalogue })}
                    />
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {words.withCatalogueAbout}
                    </Typography>
                </Group>
                <Group legend={words.youTheFirstLead}>
                    <Row columns="repeat(2, minmax(0, 1fr))">
                        <Write
                            label={words.yourName}
                            value={typed.name}
                            onWrite={(name) => set({ name })}
                            problem={problem?.at('name')}
                        />
                        <Write
                            label={words.emailAddress}
                            type="email"
                            autoComplete="username"
                            value={typed.email}
                            onWrite={(email) => set({ email })}
                            problem={problem?.at('email')}
                        />
                    </Row>
                    <Write
                        label={words.password}
                        type="password"
                        autoComplete="new-password"
                        fullWidth
                        value={typed.password}
                        onWrite={(password) => set({ password })}
                        problem={problem?.at('password')}
                        help={words.passwordHelp}
                    />
                </Group>
                {problem && problem.status !== 422 && <Trouble error={problem} />}
                <Button type="submit" variant="contained" disabled={save.isPending} sx={{ justifySelf: 'start' }}>
                    {save.isPending ? words.settingUp : words.setUp}
                </Button>
            </Box>
        </Doorway>
    );
}
