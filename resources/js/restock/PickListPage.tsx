import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Choose, Tick } from '../ui/Fields';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Printed } from '../ui/Printed';
import { count, sayDay, sayGoodUntil } from '../ui/words';
import { BeginRound } from './BeginRound';
import { words } from './words';

/** No more are carried in one round; the server refuses more. */
const AT_MOST = 20;

/** One list for several kits, to print and take along: what to fetch from the store, and what goes where. */
export default function PickListPage() {
    const { data: wanting, error } = useQuery(questions.kits({ work: 'restock' }, 1));
    const { data: stores } = useQuery(questions.stores());
    const { may } = useSession();
    const [unticked, setUnticked] = useState<string[]>([]);
    const [store, setStore] = useState('');
    const all = (wanting?.kits ?? []).slice(0, AT_MOST).map((kit) => kit.code);
    const codes = all.filter((code) => !unticked.includes(code));
    const { data: list, error: listError } = useQuery({
        ...questions.pickList(codes, store),
        placeholderData: keepPreviousData,
        enabled: codes.length > 0,
    });
    if (!wanting || !stores) {
        return <Waiting error={error} />;
    }
    const toggle = (code: string) =>
        setUnticked(unticked.includes(code) ? unticked.filter((one) => one !== code) : [...unticked, code]);
    return (
        <Page title={words.pickList}>
            <Box className="not-printed" sx={{ mb: 4, maxWidth: 900 }}>
                <Sheet title={words.pickFor(codes.length, wanting.page.in_all)}>
                    {all.length === 0 && <Empty>{words.noKitNeedsRestockingWhat}</Empty>}
                    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' }, columnGap: 4 }}>
                        {wanting.kits.slice(0, AT_MOST).map((kit) => (
                            <Tick
                                key={kit.code}
                                label={`${kit.code} ${kit.name}`}
                                checked={codes.includes(kit.code)}
                                onTick={() => toggle(kit.code)}
                            />
                        ))}
                    </Box>
                    {wanting.page.in_all > AT_MOST && (
                        <Typography variant="body2" sx={{ color: 'text.secondary', mt: 2 }}>
                            {words.firstOnly(AT_MOST)}
                        </Typography>
                    )}
                    {stores.length > 1 && (
                        <Choose
                            label={words.store}
                            value={store || (list?.store ?? '')}
                            onChoose={setStore}
                            options={stores.map((one) => [one.id, one.name] as const)}
                            sx={{ width: 260, mt: 3 }}
                        />
                    )}
                </Sheet>
            </Box>
            {codes.length === 0 ? (
                <Empty>{words.tickAKit}</Empty>
            ) : list ? (
                <>
                    {may('restock') && <BeginRound codes={codes} store={list.store} />}
                    <Printed>
                        <Listed list={list} />
                    </Printed>
                </>
            ) : (
                <Waiting error={listError} />
            )}
        </Page>
    );
}

function Listed({ list }: { list: Schemas['PickList'] }) {
    return (
        <>
            <h2>{words.takeFrom(list.store_name, list.place)}</h2>
            {list.take.length === 0 ? (
                <p>{words.theStoreHasNothingForThem}</p>
            ) : (
                <table>
                    <thead>
                        <tr>
                            <th scope="col">{words.item}</th>
                            <th scope="col">{words.lotNumber}</th>
                            <th scope="col">{words.expiry}</th>
                            <th scope="col" className="n">
                                {words.pieces}
                            </th>
                            <th scope="col" className="n">
                                {words.taken}
                            </th>
                        </tr>
                    </thead>
                    <tbody>
                        {list.take.map((row, at) => (
                            <tr key={at}>
                                <td>
                                    {row.name}
                                    {row.caution && <div>{words.cautionOf(row.caution)}</div>}
                                </td>
                                <td>{row.lot ?? words.noLot}</td>
                                <td>{sayGoodUntil(row.good_until, null)}</td>
                                <td className="n">{row.quantity}</td>
                                <td className="n">☐</td>
                            </tr>
                        ))}
                    </tbody>
                </table>
            )}
            {list.kits.map((kit) => (
                <section key={kit.code}>
                    <h2>
                        {kit.code} {kit.name}, {kit.place}
                    </h2>
                    <p>{words.mustBeGoodUntil(sayDay(kit.until))}</p>
                    {kit.rows.length > 0 && (
                        <table>
                            <thead>
                                <tr>
                                    <th scope="col">{words.outOrIn}</th>
                                    <th scope="col">{words.item}</th>
                                    <th scope="col">{words.pocket}</th>
                                    <th scope="col" className="n">
                                        {words.pieces}
                                    </th>
                                    <th scope="col" className="n">
                                        {words.done}
                                    </th>
                                </tr>
                            </thead>
                            <tbody>
                                {kit.rows.map((row, at) => (
                                    <tr key={at}>
                                        <td>
                                            <strong>{row.way === 'out' ? words.out : words.inWord}</strong>
                                        </td>
                                        <td>
                                            {row.name}, {row.lot ? words.lot(row.lot) : words.noLot},{' '}
                                            {sayGoodUntil(row.good_until, null)}
                                            {row.way === 'out' &&
                                                `; ${row.to === 'discard' ? words.toBeDisposedOf : words.returnToStore}`}
                                            {row.caution && <div>{words.cautionOf(row.caution)}</div>}
                                        </td>
                                        <td>{row.pocket}</td>
                                        <td className="n">{row.quantity}</td>
                                        <td className="n">☐</td>
                                    </tr>
                                ))}
                            </tbody>
                        </table>
                    )}
                    {kit.missing.length > 0 && (
                        <p>
                            {words.notInThisStore}{' '}
                            {kit.missing.map((row) => `${row.quantity} × ${row.what}`).join(', ')}.
                        </p>
                    )}
                </section>
            ))}
            <p>{words.listIsNoRecord(count(list.kits.length, 'kit'))}</p>
        </>
    );
}
