import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { questions } from '../api/queries';
import { Row, Tick, Write } from '../ui/Fields';
import { Sheet } from '../ui/Page';
import { Search } from '../ui/Search';
import { readPrinted, sayDay } from '../ui/words';
import { comesIn, emptyRow, faultOf, type StoreTask, type WorkRow } from './storeWork';
import { words } from './words';

interface GoodsRowsProps {
    task: StoreTask;
    rows: WorkRow[];
    errors: Record<string, string[]>;
    onChange: (rows: WorkRow[]) => void;
}

/** What came, or what was found and is not on the record: item by item, with the lot and the date as they are printed. */
export function GoodsRows({ task, rows, errors, onChange }: GoodsRowsProps) {
    const { data: items = [] } = useQuery(questions.itemChoices());
    const [added, setAdded] = useState('');
    const change = (key: string, to: Partial<WorkRow>) =>
        onChange(rows.map((row) => (row.key === key ? { ...row, ...to } : row)));
    return (
        <Sheet title={comesIn(task) ? words.whatCame : words.foundBeside}>
            {rows.map((row, at) =>
                row.recorded === null ? (
                    <Box
                        key={row.key}
                        role="group"
                        aria-label={row.name}
                        sx={{ borderTop: 1, borderColor: 'divider', py: 3 }}
                    >
                        <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, alignItems: 'center' }}>
                            <strong>{row.name}</strong>
                            <Button
                                size="small"
                                aria-label={words.removeRow(row.name)}
                                onClick={() => onChange(rows.filter((one) => one.key !== row.key))}
                            >
                                {words.remove}
                            </Button>
                        </Box>
                        <Fields
                            row={row}
                            isNew={row.key === added}
                            task={task}
                            errorAt={(field) => errors[`rows.${at}.${field}`]?.[0]}
                            onChange={(to) => change(row.key, to)}
                        />
                    </Box>
                ) : null,
            )}
            <Search
                label={comesIn(task) ? words.addItem : words.addFoundItem}
                value=""
                clears
                goesOn={false}
                options={items.map((item) => [item.code, item.name] as const)}
                onChoose={(code) => {
                    const item = items.find((one) => one.code === code);
                    if (item) {
                        const row = emptyRow(item);
                        setAdded(row.key);
                        onChange([...rows, row]);
                    }
                }}
                sx={{ maxWidth: 520, mt: 2 }}
            />
        </Sheet>
    );
}

interface FieldsProps {
    row: WorkRow;
    /** Chosen just now: one types on in it. */
    isNew: boolean;
    task: StoreTask;
    errorAt: (field: string) => string | undefined;
    onChange: (to: Partial<WorkRow>) => void;
}

function Fields({ row, isNew, task, errorAt, onChange }: FieldsProps) {
    const fault = faultOf(row, task);
    const read = readPrinted(row.expires);
    const lotError = errorAt('lot');
    return (
        <>
            <Row columns={task === 'receive' ? 'repeat(5, minmax(0, 1fr))' : 'repeat(3, minmax(0, 1fr))'}>
                <Write
                    label={words.pieces}
                    autoFocus={isNew}
                    value={row.pieces}
                    onWrite={(pieces) => onChange({ pieces })}
                    problem={
                        errorAt('quantity') ?? (fault === 'pieces' && row.pieces !== '' ? words.wholePieces : undefined)
                    }
                    slotProps={{ htmlInput: { inputMode: 'numeric', 'aria-label': words.piecesOf(row.name) } }}
                />
                <Write
                    label={words.lotNumber}
                    value={row.lot}
                    onWrite={(lot) => onChange({ lot, isNewLot: false })}
                    problem={lotError}
                    slotProps={{ htmlInput: { 'aria-label': words.lotOf(row.name), maxLength: 60 } }}
                />
                <Write
                    label={words.dateAsPrinted}
                    value={row.expires}
                    onWrite={(expires) => onChange({ expires, isNewLot: false })}
                    problem={errorAt('expires') ?? (fault === 'expires' ? words.noSuchDate : undefined)}
                    help={read === null ? words.forExample : words.readAs(sayDay(lastDay(read)))}
                    slotProps={{ htmlInput: { 'aria-label': words.dateOf(row.name) } }}
                />
                {task === 'receive' && (
                    <Write
                        label={words.packs}
                        value={row.packs}
                        onWrite={(packs) => onChange({ packs })}
                        problem={errorAt('packs') ?? (fault === 'packs' ? words.wholePieces : undefined)}
                        help={words.ifKnown}
                        slotProps={{ htmlInput: { inputMode: 'numeric' } }}
                    />
                )}
                {task === 'receive' && (
                    <Write
                        label={words.priceOfAPack}
                        value={row.price}
                        onWrite={(price) => onChange({ price, isPriceChecked: false })}
                        problem={errorAt('price') ?? (fault === 'price' ? words.noSuchSum : undefined)}
                        help={words.ifKnown}
                        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
                    />
                )}
            </Row>
            {task === 'receive' && (errorAt('price') !== undefined || row.isPriceChecked) && (
                <Tick
                    label={words.itIsGenuine}
                    checked={row.isPriceChecked}
                    onTick={(isPriceChecked) => onChange({ isPriceChecked })}
                />
            )}
            {(lotError !== undefined || row.isNewLot) && (
                <Tick label={words.itIsANewLot} checked={row.isNewLot} onTick={(isNewLot) => onChange({ isNewLot })} />
            )}
        </>
    );
}

/** The last day of a month that is printed without a day. */
function lastDay(read: string): string {
    const [year = '', month = '', day] = read.split('-');
    return day ? read : new Date(Date.UTC(Number(year), Number(month), 0)).toISOString().slice(0, 10);
}
