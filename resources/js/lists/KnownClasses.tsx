import { useQuery } from '@tanstack/react-query';
import { questions } from '../api/queries';

/** The classes that there are, for fields where one is typed: they name it as their list. */
export const KNOWN_CLASSES = 'known-classes';

export function KnownClasses() {
    const { data: classes = [] } = useQuery(questions.classes());
    return (
        <datalist id={KNOWN_CLASSES}>
            {classes.map((one) => (
                <option key={one.class} value={one.class}>
                    {one.title}
                </option>
            ))}
        </datalist>
    );
}
