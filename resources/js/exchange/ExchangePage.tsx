import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type ChangeEvent } from 'react';
import { useSearchParams } from 'react-router';
import { newId } from '../api/newId';
import { api, ask, type Schemas } from '../api/client';
import { useSession } from '../session/useSession';
import { Choose, Row } from '../ui/Fields';
import { Page, Sheet, Trouble } from '../ui/Page';
import { Table } from '../ui/Table';
import { ImportPreview } from './ImportPreview';
import { words } from './words';

type Kind = Schemas['ImportedFile']['kind'];

const kinds: { kind: Kind; title: string; holds: string }[] = [
    {
        kind: 'catalogue',
        title: words.catalogue,
        holds: words.itemsWithMeasuresPacksPrices,
    },
    { kind: 'lists', title: words.lists, holds: words.everyEditionWithItsLines },
    { kind: 'designs', title: words.designs, holds: words.packingPolicyPocketsAndThe },
    { kind: 'kits', title: words.kits, holds: words.kitsWithTheirContentsLot },
];

/** Files taken out and brought in: an import is previewed as a difference, then taken whole or not at all. */
export default function ExchangePage() {
    const { may } = useSession();
    const [search, setSearch] = useSearchParams();
    const shown = search.get('import');
    return (
        <Page title={words.files}>
            {shown ? (
                <ImportPreview id={shown} onClose={() => setSearch({})} />
            ) : (
                <>
                    {may('plan') && <BringIn onBegun={(id) => setSearch({ import: id })} />}
                    {may('export') && <TakeOut />}
                </>
            )}
        </Page>
    );
}

function TakeOut() {
    return (
        <Sheet title={words.exportWord}>
            <Typography sx={{ mb: 3, maxWidth: 760 }}>{words.theJsonFilesFollowA}</Typography>
            <Table>
                <tbody>
                    {kinds.map(({ kind, title, holds }) => (
                        <tr key={kind}>
                            <td>
                                <strong>{title}</strong>
                                <Box sx={{ color: 'text.secondary' }}>{holds}</Box>
                            </td>
                            <td>
                                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
                                    <Button
                                        size="small"
                                        component="a"
                                        href={`/api/exports/${kind}?format=csv`}
                                        download={`sarcina-${kind}.csv`}
                                        aria-label={words.sheetCsv(title)}
                                    >
                                        {words.sheetCsv2}
                                    </Button>
                                    <Button
                                        size="small"
                                        component="a"
                                        href={`/api/exports/${kind}?format=json`}
                                        download={`sarcina-${kind}.json`}
                                        aria-label={`JSON: ${title}`}
                                    >
                                        {words.json}
                                    </Button>
                                    <Button
                                        size="small"
                                        variant="text"
                                        component="a"
                                        href={`/schemas/sarcina.${kind}-1.json`}
                                        aria-label={words.schema(title)}
                                    >
                                        {words.schema2}
                                    </Button>
                                </Box>
                            </td>
                        </tr>
                    ))}
                </tbody>
            </Table>
        </Sheet>
    );
}

function BringIn({ onBegun }: { onBegun: (id: string) => void }) {
    const [kind, setKind] = useState<Kind>('catalogue');
    const [file, setFile] = useState<File | null>(null);
    const begin = useMutation({
        mutationFn: async (brought: File) => {
            const source = await brought.text();
            const format = /\.json$/i.test(brought.name) || source.trimStart().startsWith('{') ? 'json' : 'csv';
            return ask(api.POST('/imports', { body: { id: newId(), kind, format, file_name: brought.name, source } }));
        },
        onSuccess: (made) => onBegun(made.id),
    });
    return (
        <Sheet title={words.importWord}>
            <Typography sx={{ mb: 3, maxWidth: 760 }}>{words.aJsonFileOrA}</Typography>
            <Row columns="minmax(0, 1fr) minmax(0, 2fr) auto">
                <Choose
                    label={words.contents}
                    value={kind}
                    onChoose={(value) => setKind(kinds.find((one) => one.kind === value)?.kind ?? 'catalogue')}
                    options={kinds.map((one) => [one.kind, one.title] as const)}
                />
                <Box
                    component="input"
                    type="file"
                    accept=".csv,.json,text/csv,application/json"
                    aria-label={words.fileToImport}
                    onChange={(event: ChangeEvent<HTMLInputElement>) => setFile(event.target.files?.[0] ?? null)}
                    sx={{
                        minHeight: 44,
                        maxWidth: '100%',
                        font: 'inherit',
                        '&::file-selector-button': {
                            font: 'inherit',
                            fontWeight: 600,
                            minHeight: 44,
                            px: 4,
                            mr: 3,
                            border: 1,
                            borderColor: 'primary.main',
                            borderRadius: '6px',
                            color: 'primary.main',
                            bgcolor: 'transparent',
                        },
                    }}
                />
                <Button
                    variant="contained"
                    disabled={file === null || begin.isPending}
                    onClick={() => file && begin.mutate(file)}
                >
                    {words.previewChanges}
                </Button>
            </Row>
            {begin.error && <Trouble error={begin.error} />}
        </Sheet>
    );
}
