import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { designQuestions } from '../api/designQuestions';
import { useSession } from '../session/useSession';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { count, sayList } from '../ui/words';
import { WaitingLines } from './WaitingLines';
import { words } from './words';

/** All designs, with what keeps them and how they are packed. */
export default function DesignsPage() {
    const { may } = useSession();
    const { data: designs, error } = useQuery(designQuestions.designs());
    if (!designs) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={words.designs}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.designsAbout}</Typography>}
            beside={
                <>
                    <Button component={Link} to="/designs/beside">
                        {words.compareDesigns}
                    </Button>
                    {may('plan') && (
                        <Button component={Link} to="/designs/new" variant="contained">
                            {words.newDesign}
                        </Button>
                    )}
                </>
            }
        >
            <Sheet>
                {designs.length === 0 && <Empty>{words.noDesigns}</Empty>}
                <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
                    {designs.map((design) => (
                        <Box
                            component="li"
                            key={design.id}
                            sx={{
                                display: 'flex',
                                flexWrap: 'wrap',
                                gap: '8px 16px',
                                alignItems: 'center',
                                borderTop: 1,
                                borderColor: 'divider',
                                py: 1.5,
                                '&:first-of-type': { borderTop: 0 },
                            }}
                        >
                            <Box sx={{ flex: '1 1 320px', minWidth: 0 }}>
                                <strong>{design.name}</strong>, {words.edition(design.edition.number)}
                                <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                                    {words.keeps(sayList(design.list))} · {count(design.lines, 'line')} ·{' '}
                                    {count(
                                        design.leaves.reduce((sum, leaf) => sum + leaf.pockets.length, 0),
                                        'pocket',
                                    )}
                                </Typography>
                                <Typography variant="body2">
                                    {design.kits.length === 0 ? (
                                        words.noKit
                                    ) : (
                                        <>
                                            {design.kits.slice(0, 8).map((kit, at) => (
                                                <span key={kit}>
                                                    {at > 0 && ', '}
                                                    <Link to={`/kits/${kit}`} style={{ color: 'inherit' }}>
                                                        {kit}
                                                    </Link>
                                                </span>
                                            ))}
                                            {design.kits.length > 8 && ` and ${design.kits.length - 8} more`}
                                        </>
                                    )}
                                    {design.behind.length > 0 && (
                                        <strong>
                                            {' · '}
                                            {words.behind(count(design.behind.length, 'kit'), design.edition.number)}
                                        </strong>
                                    )}
                                </Typography>
                            </Box>
                            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
                                {may('plan') && (
                                    <Button
                                        component={Link}
                                        to={`/designs/${design.id}/pack`}
                                        variant="outlined"
                                        aria-label={words.packOf(design.name)}
                                    >
                                        {words.pack}
                                    </Button>
                                )}
                                <Button
                                    component={Link}
                                    to={`/designs/${design.id}/coping`}
                                    aria-label={words.dealWithOf(design.name)}
                                >
                                    {words.dealWith}
                                </Button>
                            </Box>
                            <WaitingLines design={design} />
                        </Box>
                    ))}
                </Box>
            </Sheet>
        </Page>
    );
}
