import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { api, ask } from '../api/client';
import { designQuestions } from '../api/designQuestions';
import { EffectTexts } from '../lists/EffectTexts';
import { useSession } from '../session/useSession';
import { Page, Sheet, Trouble, Waiting } from '../ui/Page';
import { VerdictMark } from '../ui/VerdictMark';
import { words } from './words';

/** What following the latest edition of its design, or another design, would change in a kit; it follows when somebody has done it. */
export default function AdoptionPage() {
    const { code = '' } = useParams();
    const navigate = useNavigate();
    const client = useQueryClient();
    const { may } = useSession();
    const [asked] = useSearchParams();
    const { data: change, error } = useQuery(designQuestions.adoption(code, asked.get('edition') ?? undefined));
    const adopt = useMutation({
        mutationFn: (edition: string) =>
            ask(api.POST('/kits/{kit}/adoption', { params: { path: { kit: code } }, body: { edition } })),
        onSuccess: async () => {
            await client.invalidateQueries();
            await navigate(`/kits/${code}`);
        },
    });
    if (!change) {
        return <Waiting error={error} />;
    }
    const { from, to, effect, other_design: other } = change;
    return (
        <Page
            title={
                other === null
                    ? words.editionFor(to.number, `${effect.kit} ${effect.name}`)
                    : words.otherDesignFor(other, `${effect.kit} ${effect.name}`)
            }
            beside={
                <Button component={Link} to={`/kits/${code}`}>
                    {words.backTo(code)}
                </Button>
            }
        >
            <Sheet
                title={
                    other === null
                        ? words.changesFromEdition(from.number, to.number)
                        : words.changesToDesign(other, to.number)
                }
            >
                {from.id === to.id ? (
                    <Typography>{words.itKeepsTheLatest}</Typography>
                ) : (
                    <>
                        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 4, mb: 3 }}>
                            <Box component="span" sx={{ display: 'inline-flex', gap: 2, alignItems: 'center' }}>
                                {words.now} <VerdictMark verdict={effect.now} />
                            </Box>
                            <Box component="span" sx={{ display: 'inline-flex', gap: 2, alignItems: 'center' }}>
                                {other === null ? words.withEdition(to.number) : words.withDesign(other)}{' '}
                                <VerdictMark verdict={effect.then} />
                            </Box>
                        </Box>
                        <EffectTexts effect={effect} />
                        {may(other === null ? 'restock' : 'equip') && (
                            <Box sx={{ mt: 4 }}>
                                <Typography sx={{ mb: 3 }}>
                                    {effect.moved.length > 0 ? words.movedFirst : words.thenItIsHeld}
                                </Typography>
                                <Button
                                    variant="contained"
                                    disabled={adopt.isPending}
                                    onClick={() => adopt.mutate(to.id)}
                                >
                                    {other !== null
                                        ? words.adoptDesign(other, effect.moved.length > 0)
                                        : effect.moved.length > 0
                                          ? words.movedAdopt(to.number, code)
                                          : words.adopt(to.number, code)}
                                </Button>
                            </Box>
                        )}
                        {adopt.error && <Trouble error={adopt.error} />}
                    </>
                )}
            </Sheet>
        </Page>
    );
}
