import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keepToday } from '../api/today';
import { draftRow } from '../testing/samples';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import type { DraftRow } from './draft';
import { LotQuestion } from './LotQuestion';
import { asksForLot } from './rows';

let now: DraftRow;

function Question({ row, onMisprint = () => undefined }: { row: DraftRow; onMisprint?: (said: string) => void }) {
    const [held, setHeld] = useState(row);
    useEffect(() => {
        now = held;
    }, [held]);
    return <LotQuestion row={held} set={(to) => setHeld((was) => ({ ...was, ...to }))} onMisprint={onMisprint} />;
}

const onRecord = [
    { lot: 'A1', expires: '2027-03' },
    { lot: 'C7', expires: '2028-01' },
];
/** What is printed on it is not what the record says. */
const another = (lot: string | null) =>
    draftRow({ lot, expires: '2027-05', origin: { lot: 'A1', expires: '2027-03' } });

describe('which lot it is', () => {
    beforeEach(() => keepToday('2026-11-27'));
    afterEach(() => vi.unstubAllGlobals());

    it('is not asked of what is as recorded', () => {
        const sent = serve(() => answer(onRecord));
        show(<Question row={draftRow()} />);
        expect(screen.queryByRole('group')).toBeNull();
        expect(sent).toEqual([]);
    });

    it('is not asked of another lot that is on record: it is known', async () => {
        serve(() => answer(onRecord));
        show(<Question row={draftRow({ lot: 'C7', expires: '2028-01', origin: { lot: 'A1', expires: '2027-03' } })} />);
        await vi.waitFor(() => expect(now.known).toEqual({ lot: 'C7', expires: '2028-01' }));
        expect(screen.queryByRole('alert')).toBeNull();
        expect(asksForLot(now)).toBe(false);
    });

    it('is asked until it is said that it is a new one', async () => {
        serve(() => answer(onRecord));
        show(<Question row={another('Z9')} />);
        expect(await screen.findByText(/Z9, .*: this lot is not on record\./)).toBeTruthy();
        expect(asksForLot(now)).toBe(true);
        await userEvent.click(screen.getByRole('button', { name: 'It is a new lot' }));
        expect(asksForLot(now)).toBe(false);
        expect(screen.queryByRole('alert')).toBeNull();
    });

    it('is chosen out of those on record', async () => {
        serve(() => answer(onRecord));
        show(<Question row={another('Z9')} />);
        await userEvent.click(await screen.findByRole('combobox', { name: 'Another lot on record' }));
        await userEvent.click(screen.getByRole('option', { name: /^C7/ }));
        expect(now).toMatchObject({ lot: 'C7', expires: '2028-01', newLot: false });
        expect(asksForLot(now)).toBe(false);
    });

    it('tells of a misprint on record in the note of the check', async () => {
        serve(() => answer(onRecord));
        const onMisprint = vi.fn();
        show(<Question row={another('A1')} onMisprint={onMisprint} />);
        await userEvent.click(await screen.findByRole('button', { name: 'The record has a misprint' }));
        expect(onMisprint.mock.calls.flat().join()).toMatch(
            /^Medium dressing reads A1, .*2027; on record was A1, .*2027\.$/,
        );
        expect(now.newLot).toBe(true);
    });

    it('says without a server that this device does not know it, and can be settled all the same', async () => {
        serve(() => refuse(503, 'The server did not answer.'));
        show(<Question row={another('Z9')} />);
        expect(await screen.findByText(/Z9, .*: this device does not know this lot\./)).toBeTruthy();
        expect(screen.queryByRole('combobox')).toBeNull();
        await userEvent.click(screen.getByRole('button', { name: 'It is a new lot' }));
        expect(asksForLot(now)).toBe(false);
    });
});
