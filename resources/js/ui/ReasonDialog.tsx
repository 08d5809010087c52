import { useState } from 'react';
import { Write } from './Fields';
import { FormDialog } from './FormDialog';

interface ReasonDialogProps {
    word: string;
    /** What exactly it is done to: the dialog's title, and how its button is told from others like it. */
    title: string;
    look?: 'text' | 'outlined';
    label: string;
    help: string;
    save: (reason: string) => Promise<unknown>;
}

/** Something that is done only with a reason in writing. */
export function ReasonDialog({ word, title, look = 'text', label, help, save }: ReasonDialogProps) {
    const [reason, setReason] = useState('');
    return (
        <FormDialog
            word={word}
            wordFor={title}
            look={look}
            title={title}
            done={word}
            isReady={reason.trim() !== ''}
            onOpen={() => setReason('')}
            save={() => save(reason.trim())}
        >
            {(problem) => (
                <Write
                    label={label}
                    value={reason}
                    onWrite={setReason}
                    problem={problem?.at('reason') ?? problem?.at('report')}
                    help={help}
                    slotProps={{ htmlInput: { maxLength: 200 } }}
                />
            )}
        </FormDialog>
    );
}
