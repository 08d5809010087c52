import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { newId } from '../api/newId';
import { designQuestions } from '../api/designQuestions';
import { keptForm } from '../offline/useKept';
import { Waiting } from '../ui/Page';
import { Editor } from './Editor';
import { anew, beginPacking, keptPacking, type Packing } from './packing';
import { StartDesign } from './StartDesign';
import { usePacking } from './usePacking';

/** Where what is packed for a new design is kept on this device. */
const NEW = keptPacking('new');

/** A new design: what it begins with, then the kit to be packed. */
export function NewDesignPage() {
    const [start, setStart] = useState<Packing | null>(null);
    const [old, setOld] = useState(() => keptForm.of(NEW) as Packing | undefined);
    if (start === null) {
        return (
            <StartDesign
                hasOld={old !== undefined}
                onGoOn={() => setStart(old ?? null)}
                onDiscard={() => {
                    keptForm.discard(NEW);
                    setOld(undefined);
                }}
                onStart={(from, name) => {
                    keptForm.discard(NEW);
                    const made = beginPacking(from);
                    setStart({
                        ...made,
                        design: null,
                        base: null,
                        number: 0,
                        name,
                        // Pockets of another design are its own.
                        draft: from.design === null ? made.draft : anew(made.draft, newId),
                    });
                }}
            />
        );
    }
    return (
        <NewEditor
            begin={start}
            onEnd={() => {
                setStart(null);
                setOld(undefined);
            }}
        />
    );
}

function NewEditor({ begin, onEnd }: { begin: Packing; onEnd: () => void }) {
    const navigate = useNavigate();
    const hands = usePacking(NEW, begin);
    return (
        <Editor
            hands={hands}
            onPublished={(design) => void navigate(`/kits/new?design=${design}`)}
            onDiscarded={onEnd}
        />
    );
}

/** A design that is there, to be packed otherwise. */
export function PackDesignPage() {
    const { id = '' } = useParams();
    const { data: start, error } = useQuery(designQuestions.draft(id));
    if (!start) {
        return <Waiting error={error} />;
    }
    return <PackEditor key={id} start={start} />;
}

function PackEditor({ start }: { start: Schemas['DraftStart'] }) {
    const navigate = useNavigate();
    const [begin] = useState(() => beginPacking(start));
    const hands = usePacking(keptPacking(start.design ?? ''), begin);
    return (
        <Editor
            hands={hands}
            onPublished={() => void navigate('/designs')}
            onDiscarded={() => void navigate('/designs')}
        />
    );
}
