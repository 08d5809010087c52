import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { useSession } from '../session/useSession';
import { questions } from '../api/queries';
import { Choose } from '../ui/Fields';
import { ExportSheet, Pager, ShowOnly, SortHead } from '../ui/Listing';
import { Caution, Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { useListing } from '../ui/useListing';
import { count, sayMoney, sayScope } from '../ui/words';
import { words } from './words';

const scopes = (['anyone', 'first_aider', 'trained', 'clinician'] as const).map(
    (scope) => [scope, sayScope(scope)] as const,
);

/** The catalogue, with what each thing is for and how many there are. */
export default function ItemsPage() {
    const listing = useListing(['q', 'class', 'scope']);
    const { data, error } = useQuery({
        ...questions.items(listing.asked, listing.page),
        placeholderData: keepPreviousData,
    });
    const { data: organisation } = useQuery(questions.organisation());
    const { data: classes = [] } = useQuery(questions.classes());
    const { may } = useSession();
    if (!data) {
        return <Waiting error={error} />;
    }
    const things = count(data.page.in_all, 'item');
    return (
        <Page
            title={words.items}
            beside={
                <>
                    <Button component={Link} to="/classes">
                        {words.classes}
                    </Button>
                    {may('plan') && (
                        <Button component={Link} to="/items/new" variant="contained">
                            {words.newItem}
                        </Button>
                    )}
                    {may('export') && <ExportSheet listing={listing} path="/items" />}
                </>
            }
        >
            <Box role="search" sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, mb: 4 }}>
                <ShowOnly listing={listing} />
                <Choose
                    label={words.classWord}
                    value={listing.get('class')}
                    empty={words.allClasses}
                    onChoose={(name) => listing.set({ class: name })}
                    options={classes.map((one) => [one.class, one.title] as const)}
                    sx={{ width: { xs: '100%', sm: 260 } }}
                />
                <Choose
                    label={words.usedBy}
                    value={listing.get('scope')}
                    empty={words.all}
                    onChoose={(scope) => listing.set({ scope })}
                    options={scopes}
                    sx={{ width: { xs: '100%', sm: 220 } }}
                />
            </Box>
            <Sheet title={listing.isAll ? things : words.match(things)}>
                {data.items.length === 0 && <Empty>{words.noItemMatchesShowOnly}</Empty>}
                <Table>
                    <thead>
                        <tr>
                            <SortHead listing={listing} by="name" first>
                                {words.item}
                            </SortHead>
                            <SortHead listing={listing} by="class" className="wide">
                                {words.classWord}
                            </SortHead>
                            <th scope="col" className="n wide">
                                {words.oneCosts}
                            </th>
                            <th scope="col" className="n">
                                {words.inKits}
                            </th>
                            <th scope="col" className="n">
                                {words.inStore}
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {data.items.map((item) => (
                            <tr key={item.code}>
                                <td>
                                    <Box
                                        component={Link}
                                        to={`/items/${item.code}`}
                                        sx={{ color: 'primary.main', fontWeight: 600 }}
                                    >
                                        {item.name}
                                    </Box>
                                    <div>{item.purpose}</div>
                                    <Caution text={item.caution} />
                                </td>
                                <td className="wide">{item.class}</td>
                                <td className="n wide">
                                    {item.price === null || !organisation
                                        ? words.noPrice
                                        : sayMoney(item.price, organisation.currency)}
                                </td>
                                <td className="n">{item.in_kits}</td>
                                <td className="n">{item.in_store}</td>
                            </tr>
                        ))}
                    </tbody>
                </Table>
                <Pager page={data.page} listing={listing} things={things} />
            </Sheet>
        </Page>
    );
}
