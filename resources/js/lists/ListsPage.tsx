import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useLocation } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { count, sayDay } from '../ui/words';

/** The lists that kits are held to: starter lists, unconfirmed, with their basis, and house lists. */
export default function ListsPage() {
    const { data: lists, error } = useQuery(questions.lists());
    const { hash } = useLocation();
    useEffect(() => {
        const named = lists && hash ? document.getElementById(decodeURIComponent(hash.slice(1))) : null;
        named?.querySelector('details')?.setAttribute('open', '');
        named?.scrollIntoView({ block: 'start' });
    }, [lists, hash]);
    if (!lists) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title="Lists"
            beside={
                <Button component={Link} to="/items">
                    Items
                </Button>
            }
        >
            <Typography sx={{ mb: 4, maxWidth: 760 }}>
                Starter lists are figures to begin with, written down from general knowledge. They stay unconfirmed
                until a responsible person has compared each line with their own copy. Your regulator and your risk
                assessment decide what a kit must hold.
            </Typography>
            {lists.map((list) => (
                <ListSheet key={list.code} list={list} />
            ))}
        </Page>
    );
}

function ListSheet({ list }: { list: Schemas['ListResource'] }) {
    return (
        <Sheet
            id={list.code}
            title={`${list.title}${list.size ? `, ${list.size}` : ''}`}
            beside={
                <Typography component="span" sx={{ fontWeight: 600 }}>
                    {list.origin === 'house' ? 'House list' : 'Starter list'},{' '}
                    {list.confirmed
                        ? `confirmed${list.confirmed_on ? ` on ${sayDay(list.confirmed_on)}` : ''}`
                        : 'unconfirmed'}
                </Typography>
            }
        >
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {list.origin === 'house' ? 'Made for' : 'Rests on'}: {list.basis}. Edition {list.edition}.
                {list.excludes.length > 0 && ` Keeps out: ${list.excludes.join(', ')}.`}
                {list.designs.length > 0 && ` Kept by: ${list.designs.join(', ')}.`}
            </Typography>
            <Box component="details" sx={{ mt: 2 }}>
                <Box
                    component="summary"
                    sx={{ cursor: 'pointer', minHeight: 32, fontWeight: 600, color: 'primary.main' }}
                >
                    {count(list.lines.length, 'line')}
                </Box>
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">Need</th>
                            <th scope="col">Asked for</th>
                            <th scope="col">Accepts, first choice first</th>
                        </tr>
                    </thead>
                    <tbody>
                        {list.lines.map((line) => (
                            <tr key={line.code}>
                                <td>
                                    {line.need}
                                    {line.rank !== 'required' && <strong>, {line.rank}</strong>}
                                    {line.reason && <Box sx={{ color: 'text.secondary' }}>{line.reason}</Box>}
                                </td>
                                <td>{line.required}</td>
                                <td>{line.accepts.join('; ')}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
            </Box>
        </Sheet>
    );
}
