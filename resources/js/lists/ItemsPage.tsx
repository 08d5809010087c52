import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSession } from '../session/useSession';
import { questions } from '../api/queries';
import { Caution, Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { sayMoney } from '../ui/words';
import { words } from './words';

/** The catalogue, with what each thing is for and how many there are. */
export default function ItemsPage() {
    const { data: items, error } = useQuery(questions.items());
    const { data: organisation } = useQuery(questions.organisation());
    const { may } = useSession();
    const [text, setText] = useState('');
    if (!items) {
        return <Waiting error={error} />;
    }
    const shown = items.filter((item) =>
        `${item.name} ${item.code} ${item.class} ${item.purpose}`.toLowerCase().includes(text.toLowerCase()),
    );
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
                    <TextField
                        label={words.showOnly}
                        value={text}
                        onChange={(event) => setText(event.target.value)}
                        sx={{ width: 260 }}
                    />
                </>
            }
        >
            <Sheet title={words.ofItems(shown.length, items.length)}>
                {shown.length === 0 && <Empty>{words.noItemMatchesShowOnly}</Empty>}
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">{words.item}</th>
                            <th scope="col" className="wide">
                                {words.classWord}
                            </th>
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
                        {shown.map((item) => (
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
            </Sheet>
        </Page>
    );
}
