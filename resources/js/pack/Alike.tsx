import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, done, type Schemas } from '../api/client';
import { newId } from '../api/newId';
import { useSession } from '../session/useSession';
import { Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Notice } from '../ui/Notice';
import { Sheet, Trouble } from '../ui/Page';
import { sayDay } from '../ui/words';
import { words } from './words';

type Kit = Schemas['KitResource'];

/** How a kit stands to its design: the edition that it keeps, what it is set to, what is planned, and that it differs on purpose. */
export function Alike({ kit }: { kit: Kit }) {
    const { may } = useSession();
    if (kit.retired_on !== null) {
        return null;
    }
    const hasMore = kit.configurations.length > 0 || kit.planned.length > 0 || kit.exception !== null;
    return (
        <>
            {kit.later_edition && (
                <Notice>
                    {words.keepsEdition(kit.edition.number, kit.design_name, kit.later_edition.number)}
                    <Link to={`/kits/${kit.code}/adoption`} style={{ color: 'inherit' }}>
                        {words.whatWouldChange}
                    </Link>
                </Notice>
            )}
            {(hasMore || may('equip')) && (
                <Sheet title={words.design2(kit.design_name, kit.edition.number)}>
                    {kit.configurations.length > 0 && (
                        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', mb: 2 }}>
                            <Typography sx={{ flex: '1 1 220px' }}>
                                {kit.configuration === null ? words.setToNone : words.setTo(kit.configuration)}
                            </Typography>
                            {may('restock') && (
                                <Button component={Link} to={`/kits/${kit.code}/configuration`}>
                                    {words.changeConfiguration}
                                </Button>
                            )}
                        </Box>
                    )}
                    {kit.planned.length > 0 && (
                        <Box component="ul" sx={{ pl: 5, my: 1 }}>
                            {kit.planned.map((line) => (
                                <li key={line.code}>
                                    <strong>{words.notYetCovered(line.need)}</strong>{' '}
                                    {line.from !== null
                                        ? words.askedForFrom(sayDay(line.from))
                                        : words.waitsFor(line.waits_for ?? '')}
                                </li>
                            ))}
                        </Box>
                    )}
                    <Exception kit={kit} />
                    {may('equip') && (
                        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 1 }}>
                            {kit.exception === null && <NewException kit={kit} />}
                            <Button component={Link} to={`/designs/new?kit=${kit.code}`}>
                                {words.makeThePattern}
                            </Button>
                        </Box>
                    )}
                </Sheet>
            )}
        </>
    );
}

function Exception({ kit }: { kit: Kit }) {
    const client = useQueryClient();
    const { may } = useSession();
    const id = kit.exception?.id ?? '';
    const end = useMutation({
        mutationFn: async () => {
            await done(
                api.DELETE('/kits/{kit}/exceptions/{id}', {
                    params: { path: { kit: kit.code, id } },
                }),
            );
        },
        onSuccess: () => client.invalidateQueries(),
    });
    if (kit.exception === null) {
        return null;
    }
    const { name, reason, ends_on, made_by, is_over } = kit.exception;
    return (
        <Box sx={{ borderLeft: 3, borderColor: 'ochre', pl: 2, my: 2 }}>
            <Typography sx={{ fontWeight: 700 }}>
                {is_over ? words.exceptionEnded(name, sayDay(ends_on)) : words.differsOnPurpose(name, sayDay(ends_on))}
            </Typography>
            <Typography variant="body2">
                {reason}, {made_by}
            </Typography>
            {may('equip') && (
                <Button size="small" variant="text" disabled={end.isPending} onClick={() => end.mutate()}>
                    {words.endException}
                </Button>
            )}
            {end.error && <Trouble error={end.error} />}
        </Box>
    );
}

function NewException({ kit }: { kit: Kit }) {
    const client = useQueryClient();
    const nothing = { id: newId(), name: '', reason: '', ends_on: '' };
    const [typed, setTyped] = useState(nothing);
    return (
        <FormDialog
            word={words.letItDiffer}
            look="outlined"
            title={words.letItDifferOf(kit.code)}
            done={words.save}
            isReady={typed.name.trim() !== '' && typed.reason.trim() !== '' && typed.ends_on !== ''}
            onOpen={() => setTyped({ ...nothing, id: newId() })}
            save={async () => {
                await done(
                    api.PUT('/kits/{kit}/exceptions/{id}', {
                        params: { path: { kit: kit.code, id: typed.id } },
                        body: { name: typed.name.trim(), reason: typed.reason.trim(), ends_on: typed.ends_on },
                    }),
                );
                await client.invalidateQueries();
            }}
        >
            {(problem) => (
                <>
                    <Typography>{words.letItDifferAbout}</Typography>
                    <Write
                        label={words.whatIsOtherwise}
                        value={typed.name}
                        onWrite={(name) => setTyped({ ...typed, name })}
                        problem={problem?.at('name')}
                        help={words.suchAsNoWhistle}
                        slotProps={{ htmlInput: { maxLength: 80 } }}
                    />
                    <Write
                        label={words.why}
                        value={typed.reason}
                        onWrite={(reason) => setTyped({ ...typed, reason })}
                        problem={problem?.at('reason')}
                        slotProps={{ htmlInput: { maxLength: 300 } }}
                    />
                    <Write
                        label={words.endsOn}
                        type="date"
                        value={typed.ends_on}
                        onWrite={(ends_on) => setTyped({ ...typed, ends_on })}
                        problem={problem?.at('ends_on')}
                        slotProps={{ inputLabel: { shrink: true } }}
                    />
                </>
            )}
        </FormDialog>
    );
}
