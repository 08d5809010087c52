import Typography from '@mui/material/Typography';
import { FormDialog } from './FormDialog';

interface AskDialogProps {
    word: string;
    /** What exactly is done: the dialog's title, and how its button is told from others like it. */
    title: string;
    done: string;
    about: string;
    /** Where a refusal of the server stands, to be said in place of what it is about. */
    field?: string;
    save: () => Promise<unknown>;
}

/** Says what follows before something is done that has no fields. */
export function AskDialog({ word, title, done, about, field, save }: AskDialogProps) {
    return (
        <FormDialog word={word} wordFor={title} title={title} done={done} save={save}>
            {(problem) => {
                const refused = field === undefined ? undefined : problem?.at(field);
                return <Typography color={refused ? 'error' : undefined}>{refused ?? about}</Typography>;
            }}
        </FormDialog>
    );
}
