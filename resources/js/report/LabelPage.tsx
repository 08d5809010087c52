import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import GlobalStyles from '@mui/material/GlobalStyles';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { dailyQuestions } from '../api/dailyQuestions';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { AskDialog } from '../ui/AskDialog';
import { Choose } from '../ui/Fields';
import { Page, Sheet, Waiting } from '../ui/Page';
import { sayInstant } from '../ui/words';
import { Code } from './Code';
import { words } from './words';

type Paper = keyof typeof words.papers;

/** The label of a kit with its code, and the code by which anyone reports what they used: one on A6, four on A4. */
export default function LabelPage() {
    const { code = '' } = useParams();
    const { data: kit, error } = useQuery(questions.kit(code));
    const { may, timeZone } = useSession();
    const [paper, setPaper] = useState<Paper>('A6');
    const [made, setMade] = useState<Schemas['ReportCode'] | null>(null);
    const { data: known, refetch } = useQuery({ ...dailyQuestions.reportCode(code), enabled: may('equip') });
    if (!kit) {
        return <Waiting error={error} />;
    }
    const address = made?.address ?? null;
    const label = <Label kit={kit} address={address} />;
    return (
        <Page title={words.labelOf(kit.code)}>
            <GlobalStyles
                styles={{
                    // Style sheets know no name for A6.
                    '@page': { size: paper === 'A6' ? '105mm 148mm' : 'A4', margin: 0 },
                    '@media print': {
                        'nav, header, .not-printed, h1': { display: 'none !important' },
                        'html, body, main': { background: '#fff !important', padding: '0 !important' },
                        // From the corner of the paper, whatever stands around it on the screen.
                        '.labels': { border: '0 !important', position: 'absolute', top: 0, left: 0, margin: 0 },
                        'html, body, #root': { height: 'auto !important', minHeight: '0 !important' },
                        '#root > *': { minHeight: '0 !important' },
                    },
                }}
            />
            <Box className="not-printed" sx={{ maxWidth: 820 }}>
                {may('equip') && known && (
                    <Sheet>
                        <Typography>
                            {known.made_at === null
                                ? words.codeIsNot
                                : words.codeIs(sayInstant(known.made_at, timeZone), known.made_by ?? '')}{' '}
                            {known.made_at !== null && (address === null ? words.codeIsGone : words.codeIsHere)}
                        </Typography>
                        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, mt: 2 }}>
                            <AskDialog
                                word={known.made_at === null ? words.makeCode : words.makeNewCode}
                                title={known.made_at === null ? words.makeCode : words.makeNewCode}
                                done={words.makeCode}
                                about={known.made_at === null ? words.codeIsHere : words.makeAsk}
                                save={async () => {
                                    const path = { kit: kit.code };
                                    setMade(await ask(api.POST('/kits/{kit}/report-code', { params: { path } })));
                                    await refetch();
                                }}
                            />
                            {known.made_at !== null && (
                                <AskDialog
                                    word={words.withdrawCode}
                                    title={words.withdrawCode}
                                    done={words.withdrawCode}
                                    about={words.withdrawAsk}
                                    save={async () => {
                                        const path = { kit: kit.code };
                                        await ask(api.DELETE('/kits/{kit}/report-code', { params: { path } }));
                                        setMade(null);
                                        await refetch();
                                    }}
                                />
                            )}
                        </Box>
                    </Sheet>
                )}
                <Box sx={{ display: 'flex', gap: 2, mb: 4, alignItems: 'start' }}>
                    <Choose
                        label={words.paper}
                        value={paper}
                        onChoose={(value) => setPaper(value === 'A4' ? 'A4' : 'A6')}
                        options={[
                            ['A6', words.papers.A6],
                            ['A4', words.papers.A4],
                        ]}
                        sx={{ width: 200 }}
                    />
                    <Button variant="contained" onClick={() => window.print()}>
                        {words.print}
                    </Button>
                </Box>
            </Box>
            <Box
                className="labels"
                sx={{
                    display: 'grid',
                    gridTemplateColumns: paper === 'A4' ? '105mm 105mm' : '105mm',
                    width: 'fit-content',
                    maxWidth: '100%',
                    overflowX: 'auto',
                    border: 1,
                    borderColor: 'divider',
                    bgcolor: '#fff',
                }}
            >
                {label}
                {paper === 'A4' && (
                    <>
                        {label}
                        {label}
                        {label}
                    </>
                )}
            </Box>
        </Page>
    );
}

function Label({ kit, address }: { kit: Schemas['KitResource']; address: string | null }) {
    return (
        <Box
            sx={{
                width: '105mm',
                height: '147.5mm',
                p: '8mm',
                bgcolor: '#fff',
                color: '#000',
                display: 'grid',
                gridTemplateRows: 'auto auto 1fr',
                gap: '4mm',
                overflow: 'hidden',
                breakInside: 'avoid',
            }}
        >
            <Box sx={{ display: 'flex', gap: '5mm', alignItems: 'center' }}>
                <Box
                    component="svg"
                    viewBox="0 0 24 24"
                    role="img"
                    aria-label={words.firstAid}
                    sx={{ width: '20mm', flex: 'none', printColorAdjust: 'exact' }}
                >
                    <rect width="24" height="24" rx="2" fill="#00713f" />
                    <path d="M9.5 4h5v5.5h5.5v5h-5.5v5.5h-5v-5.5H4v-5h5.5z" fill="#fff" />
                </Box>
                <Box sx={{ minWidth: 0 }}>
                    <Box sx={{ fontSize: '11mm', lineHeight: 1, fontWeight: 800, fontFamily: 'Archivo Variable' }}>
                        {kit.code}
                    </Box>
                    <Box sx={{ fontSize: '4.5mm', lineHeight: 1.25, mt: '1.5mm' }}>{kit.name}</Box>
                </Box>
            </Box>
            <Box sx={{ fontSize: '3.6mm', lineHeight: 1.3, borderTop: '0.3mm solid #000', pt: '2mm' }}>
                {kit.place.path}
            </Box>
            <Box
                sx={{
                    display: 'grid',
                    gridTemplateColumns: address === null ? '1fr' : '1fr 1fr',
                    gap: '4mm',
                    alignContent: 'end',
                }}
            >
                <Scanned text={`sarcina:kit/${kit.code}`} name={words.kitCode(kit.code)} about={words.scanToFind} />
                {address !== null && (
                    <Scanned
                        text={address}
                        name={words.reportCode}
                        about={`${words.scanToReport}. ${words.noAccountNeeded}`}
                    />
                )}
            </Box>
        </Box>
    );
}

function Scanned({ text, name, about }: { text: string; name: string; about: string }) {
    return (
        <Box sx={{ maxWidth: '52mm' }}>
            <Code text={text} name={name} />
            <Box sx={{ fontSize: '3.4mm', lineHeight: 1.25, px: '2mm' }}>{about}</Box>
        </Box>
    );
}
