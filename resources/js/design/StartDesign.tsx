import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { designQuestions } from '../api/designQuestions';
import { questions } from '../api/queries';
import { Choose, Write } from '../ui/Fields';
import { Notice } from '../ui/Notice';
import { Page, Sheet, Trouble } from '../ui/Page';
import { Search } from '../ui/Search';
import { listOptions } from '../ui/words';
import { words } from './words';

type From = keyof typeof words.starts;

interface StartDesignProps {
    hasOld: boolean;
    onGoOn: () => void;
    onDiscard: () => void;
    onStart: (start: Schemas['DraftStart'], name: string) => void;
}

/** What a new design begins with: a list, another design, a kit as it stands, or nothing. */
export function StartDesign({ hasOld, onGoOn, onDiscard, onStart }: StartDesignProps) {
    const [search] = useSearchParams();
    const asked = search.get('kit') !== null ? 'kit' : search.get('design') !== null ? 'design' : 'list';
    const [from, setFrom] = useState<From>(asked);
    const [of, setOf] = useState(search.get(asked) ?? '');
    const [name, setName] = useState('');
    const [error, setError] = useState<unknown>(null);
    const [isReading, setReading] = useState(false);
    const { data: lists } = useQuery(questions.listChoices());
    const { data: designs } = useQuery(designQuestions.designs());
    const isOfList = from === 'list' || from === 'nothing';
    const kits = (designs ?? []).flatMap((design) => design.kits.map((kit) => [kit, `${kit} ${design.name}`] as const));
    const begin = async () => {
        setReading(true);
        setError(null);
        try {
            onStart(await read(from, of), name.trim());
        } catch (trouble) {
            setError(trouble);
            setReading(false);
        }
    };
    return (
        <Page
            title={words.newDesign}
            above={<Typography sx={{ color: 'text.secondary' }}>{words.startAbout}</Typography>}
        >
            {hasOld && (
                <Sheet title={words.unfinished}>
                    <Box sx={{ display: 'flex', gap: 2 }}>
                        <Button variant="contained" onClick={onGoOn}>
                            {words.goOn}
                        </Button>
                        <Button color="error" onClick={onDiscard}>
                            {words.discardIt}
                        </Button>
                    </Box>
                </Sheet>
            )}
            <Sheet title={words.startFrom}>
                <Box
                    component="form"
                    noValidate
                    onSubmit={(event) => {
                        event.preventDefault();
                        void begin();
                    }}
                    sx={{ display: 'grid', gap: 3, maxWidth: 560 }}
                >
                    <Choose
                        label={words.startFrom}
                        value={from}
                        onChoose={(to) => {
                            setFrom(
                                (['list', 'design', 'kit', 'nothing'] as const).find((one) => one === to) ?? 'list',
                            );
                            setOf('');
                        }}
                        options={Object.entries(words.starts)}
                    />
                    {isOfList && (
                        <Search
                            label={words.list}
                            value={of}
                            options={listOptions(lists ?? [])}
                            onChoose={setOf}
                            helperText={words.listHelp}
                        />
                    )}
                    {from === 'design' && (
                        <Search
                            label={words.anotherDesign}
                            value={of}
                            options={(designs ?? []).map((design) => [design.id, design.name] as const)}
                            onChoose={setOf}
                        />
                    )}
                    {from === 'kit' && (
                        <Search
                            label={words.kit}
                            value={of}
                            options={kits}
                            onChoose={setOf}
                            helperText={words.kitHelp}
                        />
                    )}
                    <Write
                        label={words.designName}
                        value={name}
                        onWrite={setName}
                        help={words.designNameHelp}
                        slotProps={{ htmlInput: { maxLength: 120 } }}
                    />
                    {error !== null && <Trouble error={error} />}
                    <Button
                        type="submit"
                        variant="contained"
                        disabled={of === '' || name.trim() === '' || isReading}
                        sx={{ justifySelf: 'start' }}
                    >
                        {words.begin}
                    </Button>
                </Box>
                {!hasOld && from === 'nothing' && <Notice>{words.emptyKit}</Notice>}
            </Sheet>
        </Page>
    );
}

function read(from: From, of: string): Promise<Schemas['DraftStart']> {
    switch (from) {
        case 'design':
            return ask(api.GET('/designs/{design}/draft', { params: { path: { design: of } } }));
        case 'kit':
            return ask(api.GET('/kits/{kit}/pattern', { params: { path: { kit: of } } }));
        default:
            return ask(
                api.GET('/lists/{list}/layout', {
                    params: { path: { list: of }, query: from === 'nothing' ? { empty: 'yes' } : {} },
                }),
            );
    }
}
