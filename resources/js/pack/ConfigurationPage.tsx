import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask } from '../api/client';
import { questions } from '../api/queries';
import { EffectTexts } from '../lists/EffectTexts';
import { Choose } from '../ui/Fields';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { VerdictMark } from '../ui/VerdictMark';
import { words } from './words';

/** To which mission or season a kit is set: what to put in and to remove for another one, then it is judged for that. */
export default function ConfigurationPage() {
    const { code = '' } = useParams();
    const navigate = useNavigate();
    const client = useQueryClient();
    const { data: kit, error } = useQuery(questions.kit(code));
    const [chosen, setChosen] = useState<string | null>(null);
    const to = chosen ?? (kit?.configuration === null ? (kit.configurations[0] ?? '') : '');
    const { data: asks, error: trouble } = useQuery({
        ...questions.configuration(code, to),
        enabled: kit !== undefined,
    });
    const set = useMutation({
        mutationFn: () =>
            ask(
                api.PUT('/kits/{kit}/configuration', {
                    params: { path: { kit: code } },
                    body: { configuration: to === '' ? null : to },
                }),
            ),
        onSuccess: async () => {
            await client.invalidateQueries();
            await navigate(`/kits/${code}`);
        },
    });
    if (!kit) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={words.configurationOf(`${kit.code} ${kit.name}`)}
            beside={
                <Button component={Link} to={`/kits/${code}`}>
                    {words.backTo(code)}
                </Button>
            }
        >
            <Sheet title={kit.configuration === null ? words.setToNone : words.setTo(kit.configuration)}>
                <Choose
                    label={words.setItTo}
                    value={to}
                    onChoose={setChosen}
                    options={[['', words.noConfiguration], ...kit.configurations.map((one) => [one, one] as const)]}
                    sx={{ maxWidth: 420, width: '100%' }}
                />
                {trouble !== null && <Trouble error={trouble} />}
                {asks && (to === '' ? null : to) === asks.to && (
                    <>
                        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 4, my: 3 }}>
                            <Box component="span" sx={{ display: 'inline-flex', gap: 2, alignItems: 'center' }}>
                                {words.now} <VerdictMark verdict={asks.effect.now} />
                            </Box>
                            <Box component="span" sx={{ display: 'inline-flex', gap: 2, alignItems: 'center' }}>
                                {words.asItLies} <VerdictMark verdict={asks.effect.then} />
                            </Box>
                        </Box>
                        <Modules title={words.modulesToAdd} names={asks.modules_in} />
                        <Modules title={words.modulesToRemove} names={asks.modules_out} />
                        <EffectTexts effect={asks.effect} />
                        <Typography sx={{ my: 3 }}>{words.judgedForItAtOnce}</Typography>
                        <Button
                            variant="contained"
                            disabled={set.isPending || asks.to === kit.configuration}
                            onClick={() => set.mutate()}
                        >
                            {to === '' ? words.setToNothing(code) : words.setKitTo(code, to)}
                        </Button>
                        {set.error && <Trouble error={set.error} />}
                    </>
                )}
            </Sheet>
        </Page>
    );
}

function Modules({ title, names }: { title: string; names: string[] }) {
    if (names.length === 0) {
        return null;
    }
    return (
        <>
            <Typography sx={{ fontWeight: 700 }}>{title}</Typography>
            <Box component="ul" sx={{ pl: 5, mt: 0.5 }}>
                {names.map((name) => (
                    <li key={name}>{name}</li>
                ))}
            </Box>
        </>
    );
}
