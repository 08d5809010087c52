import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { Problem } from '../api/client';
import { Choose, Row, Write } from '../ui/Fields';
import { Sheet } from '../ui/Page';
import type { EditedItem } from './itemEditing';

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
            <Sheet title="Measures">
                {problem?.at('measures') && <Typography color="error">{problem.at('measures')}</Typography>}
                {typed.measures.map((row, at) => (
                    <Row key={at} columns="minmax(0, 1fr) minmax(0, 1fr) auto">
                        <Write
                            label={`Measure ${at + 1}`}
                            value={row.measure}
                            onWrite={(measure) =>
                                type({ ...typed, measures: replaced(typed.measures, at, { measure }) })
                            }
                            problem={problem?.at(`measures.${at}.measure`)}
                            help="width, height, length, volume, mass"
                        />
                        <Write
                            label={`How much ${at + 1}`}
                            value={row.quantity}
                            onWrite={(quantity) =>
                                type({ ...typed, measures: replaced(typed.measures, at, { quantity }) })
                            }
                            problem={problem?.at(`measures.${at}.quantity`)}
                            help="As printed: 12 cm, 4 in, 2.5 yd, 15 ml, 0.5 floz"
                        />
                        <TakeOut
                            what={`measure ${at + 1}`}
                            onClick={() => type({ ...typed, measures: without(typed.measures, at) })}
                        />
                    </Row>
                ))}
                <Button
                    onClick={() =>
                        type({ ...typed, measures: [...typed.measures, { measure: 'width', quantity: '' }] })
                    }
                >
                    Add a measure
                </Button>
            </Sheet>
            <Sheet title="Packs and prices">
                {problem?.at('packs') && <Typography color="error">{problem.at('packs')}</Typography>}
                {typed.packs.map((row, at) => (
                    <Row key={at} columns="minmax(0, 1fr) minmax(0, 1fr) auto">
                        <Write
                            label={`Pieces in pack ${at + 1}`}
                            value={row.pieces}
                            onWrite={(pieces) => type({ ...typed, packs: replaced(typed.packs, at, { pieces }) })}
                            problem={problem?.at(`packs.${at}.pieces`)}
                        />
                        <Write
                            label={`Price of pack ${at + 1}`}
                            value={row.price}
                            onWrite={(price) => type({ ...typed, packs: replaced(typed.packs, at, { price }) })}
                            problem={problem?.at(`packs.${at}.price`)}
                            help="Such as 4.50; leave it empty where it is not known."
                        />
                        <TakeOut
                            what={`pack ${at + 1}`}
                            onClick={() => type({ ...typed, packs: without(typed.packs, at) })}
                        />
                    </Row>
                ))}
                <Button onClick={() => type({ ...typed, packs: [...typed.packs, { pieces: '10', price: '' }] })}>
                    Add a pack
                </Button>
            </Sheet>
            <Sheet title="Required companion items">
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
                            <Choose
                                label={`Any of, ${at + 1}`}
                                value=""
                                empty="Add an item"
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
                                label="How many"
                                value={row.quantity}
                                onWrite={(quantity) =>
                                    type({ ...typed, needs: replaced(typed.needs, at, { quantity }) })
                                }
                                problem={problem?.at(`needs.${at}.quantity`)}
                            />
                            <Choose
                                label="For each"
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
                                label="Because"
                                value={row.reason}
                                onWrite={(reason) => type({ ...typed, needs: replaced(typed.needs, at, { reason }) })}
                                problem={problem?.at(`needs.${at}.reason`)}
                            />
                            <TakeOut
                                what={`companion ${at + 1}`}
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
                    Add a companion
                </Button>
            </Sheet>
            <Sheet title="Substitutes">
                <Chips
                    codes={typed.stand_ins}
                    name={name}
                    onTakeOut={(code) => type({ ...typed, stand_ins: typed.stand_ins.filter((one) => one !== code) })}
                />
                <Choose
                    label="Add a substitute"
                    value=""
                    empty="Choose one"
                    onChoose={(code) => code !== '' && type({ ...typed, stand_ins: [...typed.stand_ins, code] })}
                    options={others.filter(([code]) => !typed.stand_ins.includes(code))}
                    error={problem?.at('stand_ins') !== undefined}
                    helperText={
                        problem?.at('stand_ins') ??
                        'First choice first. A larger one can stand in for a smaller, never the reverse; a list decides for its lines.'
                    }
                    sx={{ maxWidth: 480, mt: 2 }}
                />
            </Sheet>
        </>
    );
}

function TakeOut({ what, onClick }: { what: string; onClick: () => void }): ReactNode {
    return (
        <Button aria-label={`Remove ${what}`} onClick={onClick} sx={{ alignSelf: 'start' }}>
            Remove
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
