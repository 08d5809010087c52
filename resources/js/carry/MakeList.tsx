import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { freshEntry, freshLine, type EditedLine, type EditedList } from '../lists/editing';
import { keptForm } from '../offline/useKept';
import { Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { words } from './words';

/** The figures as lines of a house list, to be looked through before they are saved. */
export function MakeList({ data }: { data: Schemas['CarryResource'] }) {
    const navigate = useNavigate();
    const [title, setTitle] = useState('');
    const [code, setCode] = useState('');
    return (
        <FormDialog
            word={words.makeList}
            title={words.makeList}
            done={words.create}
            isReady={title.trim() !== '' && code.trim() !== ''}
            onOpen={() => {
                setTitle('');
                setCode('');
            }}
            save={async () => {
                const made = await ask(
                    api.POST('/lists', { body: { title: title.trim(), code: code.trim(), from: null } }),
                );
                keptForm.keep(`list.${made.id}.${made.revision}`, edited(made, data));
                void navigate(`/lists/${made.id}/edit`);
            }}
        >
            {(problem) => (
                <>
                    <Typography>{words.makeListAbout}</Typography>
                    <Write label={words.listTitle} value={title} onWrite={setTitle} problem={problem?.at('title')} />
                    <Write
                        label={words.listCode}
                        value={code}
                        onWrite={(typed) => setCode(typed.toLowerCase())}
                        problem={problem?.at('code')}
                    />
                </>
            )}
        </FormDialog>
    );
}

function edited(made: Schemas['ListResource'], data: Schemas['CarryResource']): EditedList {
    const lines: EditedLine[] = [];
    for (const row of data.rows.filter((one) => one.par > 0)) {
        lines.push({
            ...freshLine(lines),
            need: row.name,
            quantity: String(row.par),
            accepts: [{ ...freshEntry, item: row.item }],
            reason: words.reason(row.uses, row.rate),
        });
    }
    return {
        title: made.title,
        basis: words.basis(data.people, data.days, data.each),
        excludes: made.excludes.join(', '),
        lines,
    };
}
