import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { designQuestions } from '../api/designQuestions';
import { EffectTexts } from '../lists/EffectTexts';
import { Confirm } from '../ui/Confirm';
import { Notice } from '../ui/Notice';
import { Empty, Sheet, Trouble } from '../ui/Page';
import { VerdictMark } from '../ui/VerdictMark';
import { count, sayMoney } from '../ui/words';
import type { Packing } from './packing';
import type { PackingHands } from './usePacking';
import { words } from './words';

interface PublishSheetProps {
    hands: PackingHands;
    /** Null while it is looked through. */
    faults: string[] | null;
    onPublished: (design: string) => void;
    onJoined: () => void;
}

/** Before a design is published: what stands in the way, and what it changes in each of its kits. */
export function PublishSheet({ hands, faults, onPublished, onJoined }: PublishSheetProps) {
    const { packing } = hands;
    const client = useQueryClient();
    const waiting = packing.draft.placements.some((one) => one.waits_for?.trim() === '') ? [words.sayWaitsFor] : [];
    const wrong = [...waiting, ...(faults ?? [])];
    const isSound = faults !== null && wrong.length === 0;
    const publish = useMutation({
        mutationFn: () =>
            ask(
                api.PUT('/designs/{id}/editions/{edition}', {
                    params: { path: { id: packing.design ?? packing.id, edition: packing.edition } },
                    body: { base: packing.base, name: packing.name, serves: packing.serves, draft: packing.draft },
                }),
            ),
        onSuccess: async () => {
            hands.forget();
            await client.invalidateQueries();
            onPublished(packing.design ?? packing.id);
        },
    });
    const isStale = isProblem(publish.error) && publish.error.status === 409;
    const refused =
        isProblem(publish.error) && publish.error.status === 422 ? Object.values(publish.error.errors).flat() : [];
    return (
        <>
            {isStale && <Meanwhile hands={hands} onJoined={onJoined} />}
            <Sheet title={words.review}>
                {faults === null ? (
                    <Typography role="status">{words.lookingThrough}</Typography>
                ) : wrong.length > 0 ? (
                    <>
                        <Typography sx={{ fontWeight: 700 }}>{words.faultsFirst}</Typography>
                        <Box component="ul" sx={{ pl: 5 }}>
                            {wrong.map((fault) => (
                                <li key={fault}>{fault}</li>
                            ))}
                        </Box>
                    </>
                ) : (
                    <Typography>{words.nothingWrong}</Typography>
                )}
                <Typography sx={{ my: 2 }}>
                    {packing.number === 0 ? words.firstEdition : words.editionIsNext(packing.number + 1)}
                </Typography>
                {refused.length > 0 && (
                    <Box component="ul" role="alert" sx={{ pl: 5, color: 'error.main' }}>
                        {refused.map((text) => (
                            <li key={text}>{text}</li>
                        ))}
                    </Box>
                )}
                {publish.error !== null && !isStale && refused.length === 0 && <Trouble error={publish.error} />}
                <Button
                    variant="contained"
                    disabled={!isSound || publish.isPending || packing.name.trim() === ''}
                    onClick={() => publish.mutate()}
                >
                    {words.publish(packing.number + 1)}
                </Button>
            </Sheet>
            {packing.design !== null && isSound && <Effects packing={packing} design={packing.design} />}
        </>
    );
}

function Effects({ packing, design }: { packing: Packing; design: string }) {
    const { data, error } = useQuery(designQuestions.draftEffects(design, packing.draft));
    if (!data) {
        return error === null ? null : <Trouble error={error} />;
    }
    return (
        <Sheet title={words.effects}>
            {data.in_all === 0 && <Empty>{words.noKitsYet}</Empty>}
            {data.in_all > data.kits.length && (
                <Typography>{words.firstOf(data.kits.length, count(data.in_all, 'kit'))}</Typography>
            )}
            {data.kits.map((kit) => (
                <Box key={kit.kit} sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
                    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
                        <Typography variant="h3">
                            {kit.kit} {kit.name}
                        </Typography>
                        <VerdictMark verdict={kit.now} />
                        <span aria-hidden>→</span>
                        <VerdictMark verdict={kit.then} />
                    </Box>
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {sayFigures(kit, data.currency)}
                    </Typography>
                    {kit.added.length + kit.moved.length + kit.removed.length === 0 ? (
                        <Typography variant="body2">
                            {kit.now === kit.then ? words.noChange : words.onlyStatusChanges}
                        </Typography>
                    ) : (
                        <EffectTexts effect={kit} />
                    )}
                </Box>
            ))}
        </Sheet>
    );
}

/** "812 g now, 930 g then; what is added costs £4.10" */
function sayFigures(kit: Schemas['KitEffect'], currency: string): string {
    const grams = (mass: number | null | undefined) => words.grams((mass ?? 0).toLocaleString('en-GB'));
    return [
        words.massFromTo(grams(kit.mass_now_g), grams(kit.mass_then_g)),
        (kit.cost ?? 0) > 0 ? words.toAddCosts(sayMoney(kit.cost ?? 0, currency)) : '',
        kit.without_price > 0 ? words.withoutPrice(count(kit.without_price, 'item')) : '',
    ]
        .filter(Boolean)
        .join('; ');
}

/** Somebody published meanwhile: what changed, and both joined or theirs taken up. */
function Meanwhile({ hands, onJoined }: { hands: PackingHands; onJoined: () => void }) {
    const { packing } = hands;
    const [isAsking, setAsking] = useState(false);
    const { data, error } = useQuery({
        queryKey: ['merging', packing.design, packing.base, packing.draft],
        queryFn: () =>
            ask(
                api.POST('/designs/{design}/merging', {
                    params: { path: { design: packing.design ?? '' } },
                    body: { base: packing.base, draft: packing.draft },
                }),
            ),
        staleTime: 0,
    });
    if (!data) {
        return error === null ? null : <Trouble error={error} />;
    }
    const goOn = (draft: Packing['draft']) => {
        hands.goOnFrom(draft, data);
        onJoined();
    };
    return (
        <Sheet title={words.meanwhile(packing.name)}>
            <Notice>{words.meanwhileAbout}</Notice>
            <Typography sx={{ fontWeight: 700, mt: 2 }}>{words.theyChanged}</Typography>
            {data.taken.length === 0 ? <Typography>{words.nothingTaken}</Typography> : <Texts texts={data.taken} />}
            {data.clashes.length > 0 && (
                <>
                    <Typography sx={{ fontWeight: 700 }}>{words.bothChanged}</Typography>
                    <Texts texts={data.clashes} />
                </>
            )}
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 2 }}>
                <Button variant="contained" onClick={() => goOn(data.draft)}>
                    {words.join}
                </Button>
                <Button color="error" onClick={() => setAsking(true)}>
                    {words.takeTheirs}
                </Button>
            </Box>
            {isAsking && (
                <Confirm
                    question={words.takeTheirsQuestion}
                    word={words.takeTheirs}
                    onConfirm={() => goOn(data.theirs)}
                    onClose={() => setAsking(false)}
                />
            )}
        </Sheet>
    );
}

function Texts({ texts }: { texts: string[] }) {
    return (
        <Box component="ul" sx={{ pl: 5, mt: 0.5 }}>
            {texts.map((text) => (
                <li key={text}>{text}</li>
            ))}
        </Box>
    );
}
