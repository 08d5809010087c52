import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import { questions } from '../api/queries';
import { useSession } from '../session/useSession';
import { Caution, Empty, Page, Sheet, Waiting } from '../ui/Page';
import { Table } from '../ui/Table';
import { count, sayCondition, sayGoodUntil, sayMoney, sayScope } from '../ui/words';
import { TwoColumns } from '../ui/TwoColumns';
import { words } from './words';

/** One item: what it is for, what it needs beside it, where it is and where it is missing. */
export default function ItemPage() {
    const { code = '' } = useParams();
    const [search] = useSearchParams();
    const { data: item, error } = useQuery(questions.item(code));
    const { may } = useSession();
    if (!item) {
        return <Waiting error={error} />;
    }
    const lot = search.get('lot');
    return (
        <Page
            title={item.name}
            above={<Typography sx={{ color: 'text.secondary' }}>{item.class}</Typography>}
            beside={
                may('plan') && (
                    <Button component={Link} to={`/items/${item.code}/edit`}>
                        {words.change2}
                    </Button>
                )
            }
        >
            <TwoColumns widths="1fr 1.4fr">
                <Sheet title={item.purpose}>
                    <Caution text={item.caution} />
                    <About item={item} />
                </Sheet>
                <Sheet title={words.inKitsInStore(item.in_kits, item.in_stores)}>
                    {item.missing_in.length > 0 && (
                        <Typography sx={{ mb: 2 }}>
                            <strong>{words.missing}</strong> in{' '}
                            {item.missing_in.map((kit, index) => (
                                <span key={kit}>
                                    {index > 0 && ', '}
                                    <Link to={`/kits/${kit}`} style={{ color: 'inherit' }}>
                                        {kit}
                                    </Link>
                                </span>
                            ))}
                            {item.missing_kits > item.missing_in.length
                                ? words.andMoreKits(item.missing_kits - item.missing_in.length)
                                : '.'}
                        </Typography>
                    )}
                    {item.carried.length === 0 ? (
                        <Empty>{words.noneInAnyKitOr}</Empty>
                    ) : (
                        <Carried rows={item.carried} dated={item.dated} lot={lot} />
                    )}
                    {item.carried_rows > item.carried.length && (
                        <Typography sx={{ mt: 2 }}>{words.firstOf(item.carried.length, item.carried_rows)}</Typography>
                    )}
                </Sheet>
            </TwoColumns>
        </Page>
    );
}

function sayStorage(least: number | null, most: number | null): string | null {
    if (least !== null && most !== null) {
        return words.atToC(least, most);
    }
    return least !== null ? words.notBelowC2(least) : most !== null ? words.notAboveC2(most) : null;
}

/** A row where there is something to say. */
function facts(term: string, fact: string | null): [string, string][] {
    return fact === null ? [] : [[term, fact]];
}

function About({ item }: { item: Schemas['ItemResource'] }) {
    const rows: [string, string][] = [
        [words.forWord, sayScope(item.scope)],
        [words.countedBy, item.count_unit],
        [words.classWord, `${item.class_title} (${item.class})`],
        [words.mass, words.aPiece(item.mass_shown)],
        ...item.measures.map((measure): [string, string] => [
            measure.measure.charAt(0).toUpperCase() + measure.measure.slice(1),
            measure.shown === measure.quantity ? measure.quantity : words.enteredAs(measure.shown, measure.quantity),
        ]),
        [
            words.packs,
            item.packs
                .map((pack) =>
                    words.forWord2(
                        pack.pieces,
                        pack.price === null ? 'a price not known' : sayMoney(pack.price, item.currency),
                    ),
                )
                .join('; ') || words.notKnown,
        ],
        ...facts(words.storage, sayStorage(item.storage_min_c, item.storage_max_c)),
        ...facts(
            words.afterOpening,
            item.opened_life === null
                ? null
                : words.usableFor(item.opened_life, item.opened_life_unit ?? '', String(item.opened_life_days ?? '')),
        ),
        ...facts(words.whoMayHaveIt, item.only_for_trained ? words.onlyAtHandForTrained2 : null),
        ...facts(words.neverInPlaceOf, item.never_for.join('; ') || null),
        ...facts(words.allergy, item.allergy),
        ...facts(
            words.toldFrom,
            item.handling.told_from.map((one) => words.toldFromBy(one.name, one.by)).join('; ') || null,
        ),
        ...facts(
            words.alsoCalled,
            item.handling.names.map((one) => one.name + (one.region === null ? '' : ` (${one.region})`)).join('; ') ||
                null,
        ),
        ...facts(words.staging, item.handling.staging),
        [words.carriesADate, item.dated ? words.yesWithoutOneItNever : 'no'],
        [words.sterile, item.sterile ? 'yes' : 'no'],
        [words.pastItsDate, item.reserve ? words.mayBeKeptAsReserveWhere : words.neverKeptAsReserve],
        ...(item.superseded_by ? ([[words.supersededBy, item.superseded_by]] as [string, string][]) : []),
        ...facts(words.substitutes, item.stand_ins.map((one) => one.name).join('; ') || null),
        ...facts(words.substituteFor, item.stands_in_for.map((one) => one.name).join('; ') || null),
        ...facts(words.namedBy, item.accepted_by.join('; ') || null),
        ...facts(words.excludedBy2, item.excluded_by.length > 0 ? count(item.excluded_by.length, 'list') : null),
        ...item.needs.map((need): [string, string] => [
            words.requiredCompanionItems,
            words.forEach(need.quantity, need.any_of.join(' or '), need.per === 'kit' ? 'kit' : 'piece', need.reason),
        ]),
    ];
    return (
        <Box
            component="dl"
            sx={{
                display: 'grid',
                gridTemplateColumns: 'minmax(110px, auto) minmax(0, 1fr)',
                gap: '6px 16px',
                m: 0,
                mt: 3,
                '& dt': { color: 'text.secondary' },
                '& dd': { m: 0 },
            }}
        >
            {rows.map(([term, fact]) => (
                <Box key={`${term} ${fact}`} sx={{ display: 'contents' }}>
                    <dt>{term}</dt>
                    <dd>{fact}</dd>
                </Box>
            ))}
        </Box>
    );
}

function Carried({ rows, dated, lot }: { rows: Schemas['CarriedResource'][]; dated: boolean; lot: string | null }) {
    return (
        <Table>
            <thead>
                <tr>
                    <th scope="col">{words.where}</th>
                    <th scope="col">{words.lot}</th>
                    <th scope="col">{words.date}</th>
                    <th scope="col" className="n">
                        {words.pieces}
                    </th>
                </tr>
            </thead>
            <tbody>
                {rows.map((row, index) => (
                    <Box
                        component="tr"
                        key={index}
                        sx={{ bgcolor: lot !== null && row.lot === lot ? 'canvas' : 'transparent' }}
                    >
                        <td>
                            {row.kit === null ? (
                                <strong>{row.where}</strong>
                            ) : (
                                <Box
                                    component={Link}
                                    to={`/kits/${row.kit}`}
                                    sx={{ color: 'primary.main', fontWeight: 600 }}
                                >
                                    {row.where}
                                </Box>
                            )}
                            <Box sx={{ color: 'text.secondary' }}>{row.place}</Box>
                        </td>
                        <td>
                            {row.lot ?? 'none'}
                            {lot !== null && row.lot === lot && <strong>{words.lookedFor}</strong>}
                        </td>
                        <td>
                            {sayGoodUntil(row.good_until, dated)}
                            {row.condition !== 'good' && <strong>, {sayCondition(row)}</strong>}
                        </td>
                        <td className="n">{row.quantity}</td>
                    </Box>
                ))}
            </tbody>
        </Table>
    );
}
