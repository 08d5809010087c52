import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, useSyncExternalStore, type SyntheticEvent } from 'react';
import { useSearchParams } from 'react-router';
import { newId } from '../api/newId';
import { api, ask, type Schemas } from '../api/client';
import { timeNow } from '../api/clock';
import { designQuestions } from '../api/designQuestions';
import { questions } from '../api/queries';
import { device } from '../offline/device';
import { notSigned } from '../offline/outbox';
import { useLeadOn } from '../offline/useLeadOn';
import { ListWarning } from '../lists/ListWarning';
import { AskDialog } from '../ui/AskDialog';
import { OpenKit } from '../ui/OpenKit';
import { Page, Sheet, Waiting } from '../ui/Page';
import { SearchPlace } from '../ui/Search';
import { count, sayList, sayScope } from '../ui/words';
import { Codes } from './Codes';
import { codesAfter, EQUIP, equipId, type EquipDraft } from './equip';
import { TwoColumns } from '../ui/TwoColumns';
import { words } from './words';

/** The device's own list: it serves gloves and keys alike. */
const listed = { select: { native: true }, inputLabel: { shrink: true } } as const;

const scopes: Schemas['NewKit']['scope'][] = ['anyone', 'first_aider', 'trained', 'clinician'];

const scopeOf = (scope: string) => scopes.find((one) => one === scope) ?? 'first_aider';

/** A new kit: a design, a place and a code. It starts as an empty bag and is filled by restocking it. */
export default function EquipPage() {
    const [search] = useSearchParams();
    const id = equipId(search.get('task'));
    const { data: designs, error } = useQuery(designQuestions.designs());
    const { data: like } = useQuery({
        ...questions.kit(search.get('like') ?? ''),
        enabled: search.has('like'),
    });
    const [begun] = useState<EquipDraft>(() => ({
        kit: {
            id: newId(),
            code: '',
            name: '',
            design_id: search.get('design') ?? '',
            place_id: search.get('place') ?? '',
            task: search.get('task'),
            scope: 'first_aider',
        },
        others: [],
        ...notSigned,
    }));
    const kept = useSyncExternalStore(device.subscribe, () => device.get(id) as EquipDraft | undefined);
    useLeadOn(id, kept !== undefined);
    const draft = kept ?? begun;
    const { errors } = draft;
    // Like another one, until something else is chosen.
    const alike = designs?.find((one) => one.code === like?.design)?.id ?? '';
    const kit =
        kept === undefined && like
            ? { ...draft.kit, design_id: alike, place_id: like.place.id, scope: scopeOf(like.scope) }
            : draft.kit;
    const set = (to: Partial<EquipDraft>) =>
        device.put(EQUIP, id, { ...draft, errors: {}, trouble: null, ...to } satisfies EquipDraft);
    const setKit = (to: Schemas['NewKit']) => set({ kit: to });
    if (!designs) {
        return <Waiting error={error} />;
    }
    const design = designs.find((one) => one.id === kit.design_id);
    const field = (name: keyof Schemas['NewKit'], label: string, help: string) => ({
        label,
        name,
        value: kit[name],
        onChange: (event: { target: { value: string } }) => {
            if (name !== 'code') {
                setKit({ ...kit, [name]: event.target.value });
                return;
            }
            const code = event.target.value.toUpperCase();
            const others = codesAfter(code, draft.others.length);
            set({
                kit: { ...kit, code },
                others: draft.others.map((one, at) => ({ ...one, code: others[at] ?? one.code })),
            });
        },
        error: errors[name] !== undefined,
        helperText: errors[name]?.[0] ?? help,
    });
    const submit = (event: SyntheticEvent) => {
        event.preventDefault();
        device.put(EQUIP, id, { ...draft, kit, isWaiting: true, doneAt: timeNow(), errors: {}, trouble: null });
    };
    return (
        <Page title={words.equipANewKit}>
            <TwoColumns widths="1fr 1.2fr">
                <Sheet title={words.whatAndWhere}>
                    <Box component="form" noValidate onSubmit={submit} sx={{ display: 'grid', gap: 4, mt: 3 }}>
                        <TextField
                            select
                            slotProps={listed}
                            {...field('design_id', words.design, words.thePackingPlanItsList)}
                        >
                            <option value="">{words.chooseOne}</option>
                            {designs.map((one) => (
                                <option key={one.id} value={one.id}>
                                    {one.name}, {count(one.lines, 'line')}
                                </option>
                            ))}
                        </TextField>
                        <SearchPlace
                            label={words.place}
                            value={kit.place_id}
                            onChoose={(place_id) => setKit({ ...kit, place_id })}
                            error={errors.place_id !== undefined}
                            helperText={errors.place_id?.[0] ?? words.whereEveryoneCanSeeAnd}
                        />
                        <Codes draft={{ ...draft, kit }} like={search.get('like') ?? ''} set={set}>
                            <TextField {...field('code', words.code, words.asPrintedOnTheLabel)} />
                        </Codes>
                        <TextField
                            {...field(
                                'name',
                                words.name,
                                draft.others.length > 0 ? words.numbered : words.whatPeopleCallItSuch,
                            )}
                        />
                        <TextField
                            select
                            slotProps={listed}
                            {...field('scope', words.forWord, words.itemsOutsideThisScopeOf)}
                        >
                            {scopes.map((scope) => (
                                <option key={scope} value={scope}>
                                    {sayScope(scope)}
                                </option>
                            ))}
                        </TextField>
                        {draft.trouble && Object.keys(errors).length === 0 && (
                            <Typography role="alert">{draft.trouble.detail}</Typography>
                        )}
                        {draft.isWaiting && <Typography role="status">{words.savedAndWaiting}</Typography>}
                        <Button type="submit" variant="contained" disabled={draft.isWaiting}>
                            {draft.others.length > 0
                                ? words.equipSeveral(draft.others.length + 1)
                                : words.equipAndFillThisKit}
                        </Button>
                    </Box>
                </Sheet>
                {design ? (
                    <Box sx={{ minWidth: 0 }}>
                        <OpenKit leaves={design.leaves} lines={[]} onSelect={() => undefined} />
                        <Typography sx={{ my: 3 }}>
                            {design.name}: {count(design.lines, 'line')}, list: {sayList(design.list)}.{' '}
                            {design.kits.length > 0
                                ? words.kitsOfThisDesign(design.kits.join(', '))
                                : words.thereIsNoKitOf}
                            {design.sealed && words.kitsOfThisDesignAre}
                        </Typography>
                        <ListWarning list={design.list} />
                        {design.kits.length === 0 && (
                            <RetireDesign design={design} onDone={() => setKit({ ...kit, design_id: '' })} />
                        )}
                    </Box>
                ) : (
                    <Sheet title={words.theDesign}>
                        <Typography sx={{ color: 'text.secondary' }}>{words.chooseADesignToSee}</Typography>
                    </Sheet>
                )}
            </TwoColumns>
        </Page>
    );
}

/** A design that no kit uses need not be offered any longer. */
function RetireDesign({ design, onDone }: { design: Schemas['DesignResource']; onDone: () => void }) {
    const client = useQueryClient();
    return (
        <AskDialog
            word={words.retireDesign}
            title={words.retireDesignOf(design.name)}
            done={words.retireDesign}
            about={words.retireDesignAbout}
            field="design"
            save={async () => {
                const { response, error } = await api.PUT('/designs/{design}/retirement', {
                    params: { path: { design: design.id } },
                });
                if (!response.ok) {
                    await ask(Promise.resolve({ error, response }));
                }
                onDone();
                await client.invalidateQueries();
            }}
        />
    );
}
