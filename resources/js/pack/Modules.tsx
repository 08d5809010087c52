import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose } from '../ui/Fields';
import { Sheet, Trouble } from '../ui/Page';
import { sayDay } from '../ui/words';
import { words } from './words';

type Kit = Schemas['KitResource'];

/** The modules in a kit, those that are missing from their slots, and modules that can be put in. */
export function Modules({ kit }: { kit: Kit }) {
    const { may } = useSession();
    const mayMove = may('restock') && kit.retired_on === null && kit.module_of === null;
    const { data: loose = [] } = useQuery({ ...questions.looseModules(), enabled: mayMove });
    const others = loose.filter((module) => module.code !== kit.code);
    if (kit.modules.length === 0 && (!mayMove || others.length === 0)) {
        return null;
    }
    return (
        <Sheet title={words.modules}>
            {kit.modules.map((module) => (
                <Module key={`${module.code} ${module.slot}`} kit={kit} module={module} mayMove={mayMove} />
            ))}
            {mayMove && others.length > 0 && <AddModule kit={kit} loose={others} />}
        </Sheet>
    );
}

function Module({ kit, module, mayMove }: { kit: Kit; module: Schemas['ModuleResource']; mayMove: boolean }) {
    const client = useQueryClient();
    const code = module.code ?? '';
    const remove = useMutation({
        mutationFn: () =>
            ask(api.DELETE('/kits/{kit}/modules/{module}', { params: { path: { kit: kit.code, module: code } } })),
        onSuccess: () => client.invalidateQueries(),
    });
    return (
        <Box
            role="group"
            aria-label={module.code === null ? module.name : `${code} ${module.name}`}
            sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}
        >
            <Box
                sx={{
                    display: 'flex',
                    flexWrap: 'wrap',
                    gap: 2,
                    alignItems: 'center',
                    justifyContent: 'space-between',
                }}
            >
                {module.code === null ? (
                    <strong>{words.missingFromSlot(module.name, module.slot ?? '')}</strong>
                ) : (
                    <Link to={`/kits/${code}`} style={{ color: 'inherit', fontWeight: 600 }}>
                        {code} {module.name}
                    </Link>
                )}
                {mayMove && module.code !== null && (
                    <Button
                        size="small"
                        onClick={() => remove.mutate()}
                        disabled={remove.isPending}
                        aria-label={words.removeModule(code)}
                    >
                        {words.remove}
                    </Button>
                )}
            </Box>
            {module.code !== null && (
                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                    {module.slot === null ? words.carriedBeside : words.inTheSlot(module.slot)}
                    {module.seal?.state === 'intact' ? words.sealedByRecord : words.notSealed}
                    {module.last_full_on === null ? words.neverChecked2 : words.checkedOn(sayDay(module.last_full_on))}
                </Typography>
            )}
            {remove.error && <Trouble error={remove.error} />}
        </Box>
    );
}

function AddModule({ kit, loose }: { kit: Kit; loose: Schemas['LooseModule'][] }) {
    const client = useQueryClient();
    const [chosen, setChosen] = useState('');
    const add = useMutation({
        mutationFn: () =>
            ask(api.POST('/kits/{kit}/modules', { params: { path: { kit: kit.code } }, body: { module: chosen } })),
        onSuccess: () => {
            setChosen('');
            return client.invalidateQueries();
        },
    });
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', pt: 3, display: 'grid', gap: 2 }}>
            <Choose
                label={words.aModuleThatIsInNoKit}
                value={chosen}
                empty={words.chooseOne}
                onChoose={setChosen}
                options={loose.map(
                    (module) => [module.code, `${module.code} ${module.name}, ${module.place}`] as const,
                )}
            />
            <Box>
                <Button onClick={() => add.mutate()} disabled={chosen === '' || add.isPending}>
                    {words.addModule}
                </Button>
            </Box>
            {add.error && <Trouble error={add.error} />}
        </Box>
    );
}
