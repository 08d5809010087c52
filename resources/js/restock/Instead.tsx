import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { Choose, Write } from '../ui/Fields';
import { FormDialog } from '../ui/FormDialog';
import { Search } from '../ui/Search';
import { Sheet } from '../ui/Page';
import { sayGoodUntil } from '../ui/words';
import type { Step, StepChange } from './steps';
import { words } from './words';

const LOT = 'lot';
const ELSE = 'else';
const NONE = 'none';

/** "Medium dressing, lot B7, good until 30 Apr 2028, 12 in the store": a lot as it is chosen. */
const sayLot = (row: Schemas['ShelfLot'], note = '') =>
    `${words.lotOnShelf(row.name, row.lot ? words.lot(row.lot) : words.noLot, sayGoodUntil(row.good_until, null), row.quantity)}${note}`;

interface InsteadProps {
    step: Step & { way: 'in' };
    shelf: Schemas['ShelfLot'][];
    onChange: (to: StepChange) => void;
}

/** Where the lot that is listed is not what goes in: another lot, something else, or nothing, since the store does not have it. */
export function Instead({ step, shelf, onChange }: InsteadProps) {
    const { row } = step;
    const others = shelf.filter((one) => one.item === row.item && one.lot_id !== row.lot_id);
    const first = others.length > 0 ? LOT : ELSE;
    const [what, setWhat] = useState(first);
    const [chosen, setChosen] = useState('');
    const lots = what === LOT ? others : shelf.filter((one) => one.item !== row.item);
    const lot = lots.find((one) => one.lot_id === chosen);
    return (
        <FormDialog
            word={words.notThisLot}
            wordFor={words.notThisLotOf(row.name, row.lot ? words.lot(row.lot) : words.noLot)}
            look="text"
            title={words.notThisLotOf(row.name, row.lot ? words.lot(row.lot) : words.noLot)}
            done={words.takeOver}
            isReady={what === NONE || lot !== undefined}
            onOpen={() => {
                setWhat(first);
                setChosen('');
            }}
            save={() => {
                onChange(
                    lot
                        ? { instead: lot, quantity: String(Math.min(row.quantity, lot.quantity)), isAbsent: false }
                        : { isAbsent: true, isDone: false, instead: null },
                );
                return Promise.resolve();
            }}
        >
            {() => (
                <>
                    <Choose
                        label={words.whatGoesIn}
                        value={what}
                        onChoose={(to) => {
                            setWhat(to);
                            setChosen('');
                        }}
                        options={[
                            ...(others.length > 0 ? [[LOT, words.anotherLot] as const] : []),
                            [ELSE, words.somethingElse] as const,
                            [NONE, words.notInTheStore] as const,
                        ]}
                    />
                    {what === NONE ? (
                        <Typography>{words.notInTheStoreAbout}</Typography>
                    ) : (
                        <Search
                            label={what === LOT ? words.whichLot : words.whichItem}
                            value={chosen}
                            onChoose={setChosen}
                            options={lots.map(
                                (one) =>
                                    [
                                        one.lot_id,
                                        sayLot(
                                            one,
                                            what === ELSE && row.accepts.includes(one.item) ? words.serves : '',
                                        ),
                                    ] as const,
                            )}
                        />
                    )}
                    {what === ELSE && lot && !row.accepts.includes(lot.item) && (
                        <Typography>{words.doesNotServe(row.need)}</Typography>
                    )}
                </>
            )}
        </FormDialog>
    );
}

interface AddPutProps {
    kit: Schemas['KitResource'];
    shelf: Schemas['ShelfLot'][];
    pocket: string;
    onAdd: (pocket: string, lot: Schemas['ShelfLot'], quantity: number) => void;
}

/** Something that is put in though the list does not name it. */
export function AddPut({ kit, shelf, pocket, onAdd }: AddPutProps) {
    const [chosen, setChosen] = useState('');
    const [into, setInto] = useState(pocket);
    const [pieces, setPieces] = useState('1');
    const lot = shelf.find((one) => one.lot_id === chosen);
    const isWhole = /^[1-9]\d{0,5}$/.test(pieces);
    return (
        <Sheet title={words.besides}>
            <Typography sx={{ mb: 2 }}>{words.besidesAbout}</Typography>
            <FormDialog
                word={words.putInSomethingElse}
                title={words.putInSomethingElse}
                done={words.addToTheList}
                isReady={lot !== undefined && isWhole}
                onOpen={() => {
                    setChosen('');
                    setInto(pocket);
                    setPieces('1');
                }}
                save={() => {
                    if (lot) {
                        onAdd(into, lot, Number(pieces));
                    }
                    return Promise.resolve();
                }}
            >
                {() => (
                    <>
                        <Search
                            label={words.whichItem}
                            value={chosen}
                            onChoose={setChosen}
                            options={shelf.map((one) => [one.lot_id, sayLot(one)] as const)}
                        />
                        <Choose
                            label={words.intoWhichPocket}
                            value={into}
                            onChoose={setInto}
                            options={kit.leaves.flatMap((leaf) =>
                                leaf.pockets.map((one) => [one.id, `${leaf.name}: ${one.name}`] as const),
                            )}
                        />
                        <Write
                            label={words.pieces}
                            value={pieces}
                            onWrite={(text) => setPieces(text.trim())}
                            problem={isWhole ? undefined : words.piecesAreWhole}
                        />
                    </>
                )}
            </FormDialog>
        </Sheet>
    );
}
