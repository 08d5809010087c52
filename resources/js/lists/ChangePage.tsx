import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose } from '../ui/Fields';
import { Empty, Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { VerdictMark } from '../ui/VerdictMark';
import { EditionPreview } from './EditionPreview';
import { EffectTexts } from './EffectTexts';
import { words } from './words';

const kinds = { added: words.newWord, dropped: words.removed, changed: words.changed, same: words.same };

/** One edition beside the one before it, line by line, and what each kit would lack under it. */
export default function ChangePage() {
    const { id = '' } = useParams();
    const [search] = useSearchParams();
    const { data: change, error } = useQuery(questions.editionChange(id, search.get('from') ?? undefined));
    const { may } = useSession();
    if (!change) {
        return <Waiting error={error} />;
    }
    const moved = change.lines.filter((line) => line.kind !== 'same');
    return (
        <Page
            title={words.fromEditionTo(change.title, change.from.edition, change.to.edition)}
            beside={
                <Button component={Link} to={`/lists/${change.to.id}`}>
                    {words.edition}
                    {change.to.edition}
                </Button>
            }
        >
            <Sheet
                title={words.changes}
                beside={
                    <span>
                        {moved.length} of {change.lines.length} lines
                    </span>
                }
            >
                {moved.length === 0 && change.excludes.length === 0 && <Empty>{words.theTwoEditionsAreThe}</Empty>}
                <Table>
                    <tbody>
                        {moved.map((line) => (
                            <tr key={line.code}>
                                <td>
                                    <strong>{kinds[line.kind]}</strong>
                                </td>
                                <td>{line.need}</td>
                                <td>{line.texts.join(' ')}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
                {change.excludes.map((text) => (
                    <Typography key={text}>{text}</Typography>
                ))}
            </Sheet>
            {change.to_follow.length > 0 && (
                <Sheet title={words.kitsThatStillKeep(change.from.edition)}>
                    <Typography>{words.theirDesignHasLaterEdition}</Typography>
                    <Box component="ul" sx={{ m: 0, pl: 5 }}>
                        {change.to_follow.map((kit) => (
                            <li key={kit.code}>
                                <Link to={`/kits/${kit.code}/adoption`} style={{ color: 'inherit' }}>
                                    {kit.code} {kit.name}
                                </Link>
                            </li>
                        ))}
                    </Box>
                    {change.to_follow_count > change.to_follow.length && (
                        <Typography>{words.andMoreKits(change.to_follow_count - change.to_follow.length)}</Typography>
                    )}
                </Sheet>
            )}
            {change.designs.length === 0 && change.to_follow.length === 0 && (
                <Sheet title={words.kits}>
                    <Empty>
                        {words.noDesignUsesEdition}
                        {change.from.edition}
                        {words.anyMore}
                    </Empty>
                </Sheet>
            )}
            {!change.is_judged && may('plan') && <EditionPreview change={change} />}
            {change.designs.map((design) => (
                <DesignEffect key={design.id} change={change} design={design} mayAdopt={may('plan')} />
            ))}
        </Page>
    );
}

interface DesignEffectProps {
    change: Schemas['EditionChangeResource'];
    design: Schemas['DesignEffect'];
    mayAdopt: boolean;
}

function DesignEffect({ change, design, mayAdopt }: DesignEffectProps) {
    const client = useQueryClient();
    const [pockets, setPockets] = useState<Record<string, string>>({});
    const adopt = useMutation({
        mutationFn: () =>
            ask(
                api.POST('/lists/{list}/adoption', {
                    params: { path: { list: change.to.id } },
                    body: {
                        design: design.id,
                        pockets: Object.entries(pockets).map(([line, pocket_id]) => ({ line, pocket_id })),
                    },
                }),
            ),
        onSuccess: () => client.invalidateQueries(),
    });
    const problem = isProblem(adopt.error) ? adopt.error : null;
    return (
        <Sheet title={words.whatItsKitsWouldBe(design.name)}>
            {design.kits.length === 0 && change.is_judged && <Empty>{words.thereIsNoKitOf}</Empty>}
            {design.kits.map((kit) => (
                <Box key={kit.kit} sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
                    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'center' }}>
                        <Link to={`/kits/${kit.kit}`} style={{ color: 'inherit', fontWeight: 600 }}>
                            {kit.kit} {kit.name}
                        </Link>
                        <Box component="span" sx={{ display: 'inline-flex', gap: 2, alignItems: 'center' }}>
                            {words.now} <VerdictMark verdict={kit.now} />
                        </Box>
                        <Box component="span" sx={{ display: 'inline-flex', gap: 2, alignItems: 'center' }}>
                            {words.then} <VerdictMark verdict={kit.then} />
                        </Box>
                    </Box>
                    <EffectTexts effect={kit} />
                </Box>
            ))}
            {mayAdopt && (
                <>
                    <Box sx={{ display: 'grid', gap: 3, my: 3, maxWidth: 560 }}>
                        {design.homeless.map((line) => (
                            <Choose
                                key={line.code}
                                label={words.pocketFor(line.need)}
                                value={pockets[line.code] ?? ''}
                                empty={words.chooseOne}
                                onChoose={(pocket) => setPockets({ ...pockets, [line.code]: pocket })}
                                options={design.pockets.map((pocket) => [pocket.id, pocket.name] as const)}
                                error={problem?.at(`pockets.${line.code}`) !== undefined}
                                helperText={problem?.at(`pockets.${line.code}`) ?? words.chooseThePocketForThis}
                            />
                        ))}
                    </Box>
                    <Typography sx={{ mb: 3 }}>{words.kitsFollow(design.name, design.edition + 1)}</Typography>
                    <Button variant="contained" onClick={() => adopt.mutate()} disabled={adopt.isPending}>
                        {words.publishEditionOf(design.name, design.edition + 1)}
                    </Button>
                    {problem && <Trouble error={problem} />}
                </>
            )}
        </Sheet>
    );
}
