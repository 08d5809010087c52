import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose } from '../ui/Fields';
import { ExportSheet, Pager, ShowOnly, SortHead } from '../ui/Listing';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { useListing, type Listing } from '../ui/useListing';
import { count, sayDay, sayList } from '../ui/words';
import { NewList } from './NewList';
import { words } from './words';

type Summary = Schemas['ListSummary'];

const groups = [
    ['starter', words.starterListsWrittenDownFrom],
    ['house', words.houseLists],
    ['module', words.modulesOneForEachRisk],
] as const;

/** The lists that kits are held to: starter lists, unconfirmed until somebody confirms them, house lists and modules. */
export default function ListsPage() {
    const listing = useListing(['q', 'group', 'confirmed', 'edition']);
    const { data, error } = useQuery({
        ...questions.lists(listing.asked, listing.page),
        placeholderData: keepPreviousData,
    });
    const { may } = useSession();
    const [isNew, setIsNew] = useState(false);
    if (!data) {
        return <Waiting error={error} />;
    }
    const things = count(data.page.in_all, 'list');
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
                    {may('export') && <ExportSheet listing={listing} path="/lists" />}
                    {may('plan') && (
                        <Button variant="contained" onClick={() => setIsNew(true)}>
                            {words.newHouseList}
                        </Button>
                    )}
                </>
            }
        >
            <Typography sx={{ mb: 4, maxWidth: 760 }}>{words.starterListsAreFiguresTo}</Typography>
            {isNew && <NewList onClose={() => setIsNew(false)} />}
            <Box role="search" sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, mb: 4 }}>
                <ShowOnly listing={listing} />
                <Choose
                    label={words.group}
                    value={listing.get('group')}
                    empty={words.all}
                    onChoose={(group) => listing.set({ group })}
                    options={groups}
                    sx={{ width: { xs: '100%', sm: 300 } }}
                />
                <Choose
                    label={words.confirmed2}
                    value={listing.get('confirmed')}
                    empty={words.all}
                    onChoose={(confirmed) => listing.set({ confirmed })}
                    options={[
                        ['yes', words.confirmed2],
                        ['no', words.unconfirmed],
                    ]}
                    sx={{ width: { xs: '100%', sm: 170 } }}
                />
                <Choose
                    label={words.edition4}
                    value={listing.get('edition')}
                    empty={words.allEditions}
                    onChoose={(edition) => listing.set({ edition })}
                    options={[['latest', words.latestEditions]]}
                    sx={{ width: { xs: '100%', sm: 190 } }}
                />
            </Box>
            <Sheet title={listing.isAll ? things : words.match(things)}>
                {data.lists.length === 0 ? (
                    <Empty>{words.noListMatchesShowOnly}</Empty>
                ) : (
                    <ListTable lists={data.lists} listing={listing} />
                )}
                <Pager page={data.page} listing={listing} things={things} />
            </Sheet>
        </Page>
    );
}

function ListTable({ lists, listing }: { lists: Summary[]; listing: Listing }) {
    return (
        <Table>
            <thead>
                <tr>
                    <SortHead listing={listing} by="title" first>
                        {words.list}
                    </SortHead>
                    <th scope="col">{words.edition4}</th>
                    <SortHead listing={listing} by="confirmed">
                        {words.confirmed2}
                    </SortHead>
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
                                {groupOf(list)}. {list.basis}
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

function groupOf(list: Summary): string {
    if (list.kind === 'module') {
        return words.module;
    }
    return list.origin === 'starter' ? words.starterList : words.houseList;
}

function sayConfirmed(list: Summary): string {
    if (list.confirmed) {
        return `✓ ${list.confirmed_on ? sayDay(list.confirmed_on) : 'yes'}${list.confirmed_by ? `, ${list.confirmed_by}` : ''}`;
    }
    return list.compared > 0 ? words.unconfirmedOfCompared(list.compared, list.lines) : 'unconfirmed';
}
