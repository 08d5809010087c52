import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, isProblem, type Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Write } from '../ui/Fields';
import { Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { count } from '../ui/words';
import { words } from './words';

/** The tree of classes: what lies below what, how many items, and which lists accept it or keep it out. */
export default function ClassesPage() {
    const { data: classes, error } = useQuery(questions.classes());
    if (!classes) {
        return <Waiting error={error} />;
    }
    return (
        <Page title={words.classesOfItems}>
            <Sheet title={count(classes.length, 'class').replace('classs', 'classes')}>
                <p>{words.aClassIncludesTheClasses}</p>
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">{words.classWord}</th>
                            <th scope="col" className="n">
                                {words.items}
                            </th>
                            <th scope="col" className="n wide">
                                {words.belowIt}
                            </th>
                            <th scope="col" className="wide">
                                {words.lists}
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {classes.map((one) => (
                            <ClassRow key={one.class} one={one} />
                        ))}
                    </tbody>
                </Table>
            </Sheet>
        </Page>
    );
}

function ClassRow({ one }: { one: Schemas['ClassResource'] }) {
    const client = useQueryClient();
    const { may } = useSession();
    const [title, setTitle] = useState<string | null>(null);
    const name = useMutation({
        mutationFn: (to: string) =>
            ask(api.PUT('/classes/{class}', { params: { path: { class: one.class } }, body: { title: to } })),
        onSuccess: (now) => {
            client.setQueryData(['classes'], now);
            setTitle(null);
        },
    });
    const problem = isProblem(name.error) ? name.error : null;
    const depth = one.class.split('.').length - 1;
    return (
        <tr>
            <td>
                <Box sx={{ pl: { xs: depth * 2, md: depth * 5 } }}>
                    {title === null ? (
                        <>
                            <strong>{one.title}</strong>{' '}
                            {may('plan') && (
                                <Button
                                    size="small"
                                    variant="text"
                                    aria-label={words.rename(one.class)}
                                    onClick={() => setTitle(one.title)}
                                >
                                    {words.rename2}
                                </Button>
                            )}
                        </>
                    ) : (
                        <Box sx={{ display: 'flex', gap: 2, my: 2 }}>
                            <Write
                                label={words.titleOf(one.class)}
                                value={title}
                                onWrite={setTitle}
                                problem={problem?.at('title')}
                            />
                            <Button onClick={() => name.mutate(title)}>{words.save}</Button>
                        </Box>
                    )}
                    <Box sx={{ color: 'text.secondary' }}>{one.class}</Box>
                </Box>
            </td>
            <td className="n">{one.items}</td>
            <td className="n wide">{one.below}</td>
            <td className="wide">
                {one.accepted_by.length > 0 && (
                    <div>
                        {words.acceptedBy}
                        {count(one.accepted_by.length, 'list')}
                    </div>
                )}
                {one.excluded_by.length > 0 && (
                    <div>
                        {words.excludedBy}
                        {count(one.excluded_by.length, 'list')}
                    </div>
                )}
            </td>
        </tr>
    );
}
