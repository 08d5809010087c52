import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Problem, type Schemas } from '../api/client';
import { designQuestions } from '../api/designQuestions';
import { newId } from '../api/newId';
import { beginPacking, keptPacking, type Packing } from '../design/packing';
import { keptForm } from '../offline/useKept';
import { FormDialog } from '../ui/FormDialog';
import { Search } from '../ui/Search';
import { withCarried } from './intoDesign';
import { words } from './words';

/** The figures as lines that a design adds to its list: begun on this device, to be packed and published there. */
export function AddToDesign({ data }: { data: Schemas['CarryResource'] }) {
    const navigate = useNavigate();
    const client = useQueryClient();
    const [design, setDesign] = useState('');
    const { data: designs = [] } = useQuery(designQuestions.designs());
    return (
        <FormDialog
            word={words.addToDesign}
            title={words.addToDesign}
            done={words.addLines}
            isReady={design !== ''}
            onOpen={() => setDesign('')}
            save={async () => {
                // What somebody changed and did not publish yet is gone on with.
                const old = keptForm.of(keptPacking(design)) as Packing | undefined;
                const packing = old ?? beginPacking(await client.query(designQuestions.draft(design)));
                const { lines } = await client.query(designQuestions.foresight(packing.design, packing.draft));
                const { draft, changed } = withCarried(packing.draft, lines, data.rows);
                if (changed === 0) {
                    throw new Problem(409, words.nothingMore, words.nothingMore, {}, []);
                }
                keptForm.keep(keptPacking(design), { ...packing, edition: newId(), draft });
                void navigate(`/designs/${design}/pack`);
            }}
        >
            {() => (
                <>
                    <Typography>{words.addToDesignAbout}</Typography>
                    <Search
                        label={words.design}
                        value={design}
                        onChoose={setDesign}
                        options={designs.map((one) => [one.id, one.name] as const)}
                    />
                </>
            )}
        </FormDialog>
    );
}
