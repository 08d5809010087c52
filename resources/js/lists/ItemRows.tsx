import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { Problem } from '../api/client';
import { Choose, Row, Write } from '../ui/Fields';
import { Sheet } from '../ui/Page';
import { Search } from '../ui/Search';
import type { EditedItem } from './itemEditing';
import { words } from './words';

interface ItemRowsProps {
    typed: EditedItem;
    type: (to: EditedItem) => void;
    problem: Problem | null;
    others: (readonly [string, string])[];
}

/** The parts of an item of which there may be several: measures, packs, companions, stand-ins. */
export function ItemRows({ typed, type, problem, others }: ItemRowsProps) {
    const without = <T,>(rows: T[], at: number) => rows.filter((_, index) => index !== at);
    const replaced = <T,>(rows: T[], at: number, to: Partial<T>) =>
        rows.map((row, index) => (index === at ? { ...row, ...to } : row));
    const name = (code: string) => others.find(([one]) => one === code)?.[1] ?? code;
    return (
        <>
            <Sheet title={words.measures}>
                {problem?.at('measures') && <Typography color="error">{problem.at('measures')}</Typography>}
                {typed.measures.map((row, at) => (
                    <Row key={at} columns="minmax(0, 1fr) minmax(0, 1fr) auto">
                        <Write
                            label={words.measure(at + 1)}
                            value={row.measure}
                            onWrite={(measure) =>
                                type({ ...typed, measures: replaced(typed.measures, at, { measure }) })
                            }
                            problem={problem?.at(`measures.${at}.measure`)}
                            help={words.widthHeightLengthVolumeMass}
                        />
                        <Write
                            label={words.howMuch(at + 1)}
                            value={row.quantity}
                            onWrite={(quantity) =>
                                type({ ...typed, measures: replaced(typed.measures, at, { quantity }) })
                            }
                            problem={problem?.at(`measures.${at}.quantity`)}
                            help={words.asPrinted12Cm4}
                        />
                        <TakeOut
                            what={words.measure2(at + 1)}
                            onClick={() => type({ ...typed, measures: without(typed.measures, at) })}
                        />
                    </Row>
                ))}
                <Button
                    onClick={() =>
                        type({ ...typed, measures: [...typed.measures, { measure: 'width', quantity: '' }] })
                    }
                >
                    {words.addAMeasure}
                </Button>
            </Sheet>
            <Sheet title={words.packsAndPrices}>
                {problem?.at('packs') && <Typography color="error">{problem.at('packs')}</Typography>}
                {typed.packs.map((row, at) => (
                    <Row key={at} columns="minmax(0, 1fr) minmax(0, 1fr) auto">
                        <Write
                            label={words.piecesInPack(at + 1)}
                            value={row.pieces}
                            onWrite={(pieces) => type({ ...typed, packs: replaced(typed.packs, at, { pieces }) })}
                            problem={problem?.at(`packs.${at}.pieces`)}
                        />
                        <Write
                            label={words.priceOfPack(at + 1)}
                            value={row.price}
                            onWrite={(price) => type({ ...typed, packs: replaced(typed.packs, at, { price }) })}
                            problem={problem?.at(`packs.${at}.price`)}
                            help={words.suchAs450Leave}
                        />
                        <TakeOut
                            what={words.pack(at + 1)}
                            onClick={() => type({ ...typed, packs: without(typed.packs, at) })}
                        />
                    </Row>
                ))}
                <Button onClick={() => type({ ...typed, packs: [...typed.packs, { pieces: '10', price: '' }] })}>
                    {words.addAPack}
                </Button>
            </Sheet>
            <Sheet title={words.requiredCompanionItems}>
                {typed.needs.map((row, at) => (
                    <Box key={at} sx={{ borderTop: 1, borderColor: 'divider', py: 2 }}>
                        <Chips
                            codes={row.any_of}
                            name={name}
                            onTakeOut={(code) =>
                                type({
                                    ...typed,
                                    needs: replaced(typed.needs, at, {
                                        any_of: row.any_of.filter((one) => one !== code),
                                    }),
                                })
                            }
                        />
                        <Row columns="minmax(0, 2fr) minmax(0, 1fr) minmax(0, 1fr) minmax(0, 2fr) auto">
                            <Search
                                label={words.anyOf(at + 1)}
                                value=""
                                clears
                                placeholder={words.addAnItem}
                                onChoose={(code) =>
                                    code !== '' &&
                                    type({
                                        ...typed,
                                        needs: replaced(typed.needs, at, { any_of: [...row.any_of, code] }),
                                    })
                                }
                                options={others.filter(([code]) => !row.any_of.includes(code))}
                                error={problem?.at(`needs.${at}.any_of`) !== undefined}
                                helperText={problem?.at(`needs.${at}.any_of`)}
                            />
                            <Write
                                label={words.howMany}
                                value={row.quantity}
                                onWrite={(quantity) =>
                                    type({ ...typed, needs: replaced(typed.needs, at, { quantity }) })
                                }
                                problem={problem?.at(`needs.${at}.quantity`)}
                            />
                            <Choose
                                label={words.forEach2}
                                value={row.per}
                                onChoose={(per) =>
                                    type({
                                        ...typed,
                                        needs: replaced(typed.needs, at, { per: per === 'each' ? 'each' : 'kit' }),
                                    })
                                }
                                options={[
                                    ['kit', 'kit'],
                                    ['each', 'piece'],
                                ]}
                            />
                            <Write
                                label={words.because}
                                value={row.reason}
                                onWrite={(reason) => type({ ...typed, needs: replaced(typed.needs, at, { reason }) })}
                                problem={problem?.at(`needs.${at}.reason`)}
                            />
                            <TakeOut
                                what={words.companion(at + 1)}
                                onClick={() => type({ ...typed, needs: without(typed.needs, at) })}
                            />
                        </Row>
                    </Box>
                ))}
                <Button
                    onClick={() =>
                        type({
                            ...typed,
                            needs: [...typed.needs, { any_of: [], per: 'kit', quantity: '1', reason: '' }],
                        })
                    }
                >
                    {words.addACompanion}
                </Button>
            </Sheet>
            <Sheet title={words.substitutes}>
                <Chips
                    codes={typed.stand_ins}
                    name={name}
                    onTakeOut={(code) => type({ ...typed, stand_ins: typed.stand_ins.filter((one) => one !== code) })}
                />
                <Search
                    label={words.addASubstitute}
                    value=""
                    clears
                    onChoose={(code) => code !== '' && type({ ...typed, stand_ins: [...typed.stand_ins, code] })}
                    options={others.filter(([code]) => !typed.stand_ins.includes(code))}
                    error={problem?.at('stand_ins') !== undefined}
                    helperText={problem?.at('stand_ins') ?? words.firstChoiceFirstALarger}
                    sx={{ maxWidth: 480, mt: 2 }}
                />
            </Sheet>
        </>
    );
}

function TakeOut({ what, onClick }: { what: string; onClick: () => void }): ReactNode {
    return (
        <Button aria-label={words.remove(what)} onClick={onClick} sx={{ alignSelf: 'start' }}>
            {words.remove2}
        </Button>
    );
}

interface ChipsProps {
    codes: string[];
    name: (code: string) => string;
    onTakeOut: (code: string) => void;
}

function Chips({ codes, name, onTakeOut }: ChipsProps) {
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2 }}>
            {codes.map((code, at) => (
                <Button key={code} size="small" onClick={() => onTakeOut(code)}>
                    {at + 1}. {name(code)}, remove
                </Button>
            ))}
        </Box>
    );
}
