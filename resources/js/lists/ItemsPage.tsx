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
            title="Items"
            beside={
                <>
                    <Button component={Link} to="/classes">
                        Classes
                    </Button>
                    {may('plan') && (
                        <Button component={Link} to="/items/new" variant="contained">
                            New item
                        </Button>
                    )}
                    <TextField
                        label="Show only"
                        value={text}
                        onChange={(event) => setText(event.target.value)}
                        sx={{ width: 260 }}
                    />
                </>
            }
        >
            <Sheet title={`${shown.length} of ${items.length} items`}>
                {shown.length === 0 && <Empty>No item matches. Show only part of a name, a class or a purpose.</Empty>}
                <Table>
                    <thead>
                        <tr>
                            <th scope="col">Item</th>
                            <th scope="col" className="wide">
                                Class
                            </th>
                            <th scope="col" className="n wide">
                                One costs
                            </th>
                            <th scope="col" className="n">
                                In kits
                            </th>
                            <th scope="col" className="n">
                                In store
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
                                        ? 'no price'
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
