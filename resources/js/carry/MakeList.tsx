import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, type Schemas } from '../api/client';
import { linesOf, type EditedList } from '../lists/editing';
import { keptForm } from '../offline/useKept';
import { Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { words } from './words';

/** The figures as a house list: a copy of the list with every line, to be read through before it is saved. */
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
                    api.POST('/lists', { body: { title: title.trim(), code: code.trim(), from: data.list } }),
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

/** Every line of the list stays; its quantity becomes what is carried, in pieces where that is more than the list asks for. */
function edited(made: Schemas['ListResource'], data: Schemas['CarryResource']): EditedList {
    const carried = new Map(data.rows.map((row) => [row.line, row]));
    return {
        title: made.title,
        basis: words.basis(data.people, data.days, sayBasis(data)),
        excludes: made.excludes.join(', '),
        people: String(data.people),
        days: String(data.days),
        lines: linesOf(made).map((line) => {
            const row = carried.get(line.code);
            if (row === undefined || row.measure !== null || (line.asks === 'total' && row.par === row.listed)) {
                return line;
            }
            return { ...line, asks: 'pieces' as const, quantity: String(row.par) };
        }),
    };
}

const sayBasis = (data: Schemas['CarryResource']): string =>
    words.settings.find(([setting]) => setting === data.setting)?.[1] ?? data.setting;
