import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { count, sayDay, sayList } from '../ui/words';
import { NewList } from './NewList';
import { words } from './words';

type Summary = Schemas['ListSummary'];

const groups: { title: string; is: (list: Summary) => boolean }[] = [
    { title: words.starterListsWrittenDownFrom, is: (list) => list.origin === 'starter' },
    { title: words.houseLists, is: (list) => list.origin === 'house' && list.kind === 'kit' },
    { title: words.modulesOneForEachRisk, is: (list) => list.origin === 'house' && list.kind === 'module' },
];

/** The lists that kits are held to: starter lists, unconfirmed until somebody confirms them, house lists and modules. */
export default function ListsPage() {
    const { data: lists, error } = useQuery(questions.lists());
    const { may } = useSession();
    const [text, setText] = useState('');
    const [isNew, setIsNew] = useState(false);
    if (!lists) {
        return <Waiting error={error} />;
    }
    const shown = lists.filter((list) =>
        `${sayList(list)} ${list.code} ${list.basis}`.toLowerCase().includes(text.toLowerCase()),
    );
    return (
        <Page
            title={words.lists}
            beside={
                <>
                    <Button component={Link} to="/items">
                        {words.items}
                    </Button>
                    <Button component={Link} to="/compare">
                        {words.compareWithAList}
                    </Button>
                    <Button component={Link} to="/exchange">
                        {words.files}
                    </Button>
                    {may('plan') && (
                        <Button variant="contained" onClick={() => setIsNew(true)}>
                            {words.newHouseList}
                        </Button>
                    )}
                </>
            }
        >
            <Typography sx={{ mb: 4, maxWidth: 760 }}>{words.starterListsAreFiguresTo}</Typography>
            {isNew && <NewList lists={lists} onClose={() => setIsNew(false)} />}
            <TextField
                label={words.showOnly}
                value={text}
                onChange={(event) => setText(event.target.value)}
                sx={{ maxWidth: 320, mb: 4 }}
            />
            {shown.length === 0 && <Empty>{words.noListMatchesShowOnly}</Empty>}
            {groups.map(({ title, is }) => {
                const group = shown.filter(is);
                return (
                    group.length > 0 && (
                        <Sheet key={title} title={title} beside={<span>{count(group.length, 'list')}</span>}>
                            <ListTable lists={group} />
                        </Sheet>
                    )
                );
            })}
        </Page>
    );
}

function ListTable({ lists }: { lists: Summary[] }) {
    return (
        <Table>
            <thead>
                <tr>
                    <th scope="col">{words.list}</th>
                    <th scope="col">{words.edition4}</th>
                    <th scope="col">{words.confirmed2}</th>
                    <th scope="col" className="n wide">
                        {words.lines}
                    </th>
                    <th scope="col" className="n">
                        {words.kits}
                    </th>
                </tr>
            </thead>
            <tbody>
                {lists.map((list) => (
                    <tr key={list.id}>
                        <td>
                            <Box
                                component={Link}
                                to={`/lists/${list.id}`}
                                sx={{ color: 'primary.main', fontWeight: 600 }}
                            >
                                {sayList(list)}
                            </Box>
                            <Box sx={{ color: 'text.secondary', display: { xs: 'none', md: 'block' } }}>
                                {list.basis}
                            </Box>
                        </td>
                        <td>
                            {list.edition}
                            {!list.latest && <Box sx={{ color: 'text.secondary' }}>superseded</Box>}
                        </td>
                        <td style={{ overflowWrap: 'anywhere' }}>{sayConfirmed(list)}</td>
                        <td className="n wide">{list.lines}</td>
                        <td className="n">{list.kits}</td>
                    </tr>
                ))}
            </tbody>
        </Table>
    );
}

function sayConfirmed(list: Summary): string {
    if (list.confirmed) {
        return `✓ ${list.confirmed_on ? sayDay(list.confirmed_on) : 'yes'}${list.confirmed_by ? `, ${list.confirmed_by}` : ''}`;
    }
    return list.compared > 0 ? words.unconfirmedOfCompared(list.compared, list.lines) : 'unconfirmed';
}
