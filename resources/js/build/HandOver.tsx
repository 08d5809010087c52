import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, done, type Schemas } from '../api/client';
import { versionOf } from '../offline/versions';
import { Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { beginnings, BUILD, builds, isPacked, pocketsOf, type BuildDraft } from './draft';
import { words } from './words';

/** Hands the work over half done: somebody goes on with it on another device. */
export function HandOver({ draft }: { draft: BuildDraft }) {
    const [note, setNote] = useState('');
    const client = useQueryClient();
    const navigate = useNavigate();
    const pockets = pocketsOf(draft);
    const leave = async () => {
        const { kit, id } = draft;
        await done(
            api.PUT('/kits/{kit}/builds/{id}/leaving', {
                params: { path: { kit, id } },
                body: {
                    version: versionOf(BUILD),
                    work: JSON.stringify(draft),
                    pockets_packed: pockets.filter((pocket) => isPacked(draft, pocket)).length,
                    pockets: pockets.length,
                    note: note.trim() || null,
                },
            }),
        );
        builds.drop(kit);
        await client.invalidateQueries();
        await navigate(`/kits/${kit}`);
    };
    return (
        <FormDialog
            word={words.handOver}
            title={words.handOver}
            done={words.handItOver}
            onOpen={() => setNote('')}
            save={leave}
        >
            {(problem) => (
                <>
                    <Typography>{words.handOverAbout}</Typography>
                    <Write
                        label={words.noteForThem}
                        value={note}
                        onWrite={setNote}
                        problem={problem?.at('note')}
                        multiline
                        slotProps={{ htmlInput: { maxLength: 300 } }}
                    />
                </>
            )}
        </FormDialog>
    );
}

type Outcome = Schemas['EndedBuild']['outcome'];

/** Ends it without a record: what was done of it here is discarded, and the kit is judged as it is on record. */
export function EndBuild({ kit, id }: { kit: Schemas['KitResource']; id: string }) {
    const [outcome, setOutcome] = useState<Outcome | ''>('');
    const client = useQueryClient();
    const navigate = useNavigate();
    const isShut = kit.seal.state === 'intact';
    const end = async () => {
        // What the server does not know of yet ends here.
        if (!beginnings.isWaiting(kit.code)) {
            await done(
                api.PUT('/kits/{kit}/builds/{id}/end', {
                    params: { path: { kit: kit.code, id } },
                    body: { outcome: outcome || 'put_back' },
                }),
            );
        }
        beginnings.drop(kit.code);
        if (builds.of(kit.code)?.id === id) {
            builds.drop(kit.code);
        }
        await client.invalidateQueries();
        await navigate(`/kits/${kit.code}`);
    };
    return (
        <FormDialog
            word={words.endIt}
            look="text"
            title={words.endIt}
            done={words.end}
            isReady={outcome === 'nothing_moved' || (outcome === 'put_back' && !isShut)}
            onOpen={() => setOutcome('')}
            save={end}
        >
            {() => (
                <>
                    <Typography>{words.endAbout}</Typography>
                    <RadioGroup
                        aria-label={words.howItIs}
                        value={outcome}
                        onChange={(event) => setOutcome(event.target.value as Outcome)}
                    >
                        <FormControlLabel value="nothing_moved" control={<Radio />} label={words.nothingMoved} />
                        <FormControlLabel value="put_back" control={<Radio />} label={words.allPutBack} />
                    </RadioGroup>
                    {outcome === 'put_back' && isShut && <Typography role="alert">{words.sealFirst}</Typography>}
                </>
            )}
        </FormDialog>
    );
}
