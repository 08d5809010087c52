import Button from '@mui/material/Button';
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { describe, expect, it, vi } from 'vitest';
import { show } from '../testing/show';
import { useForeseen } from './Foreseen';

const change = {
    kit: 'QH-09',
    kit_name: 'Orchid house',
    place: 'Glasshouses',
    shift: null,
    now: 'ready',
    then: 'not_ready',
    worse: true,
};

function Saving({ write }: { write: (headers: Record<string, string>) => Promise<unknown> }) {
    const keep = useForeseen({ write, onSuccess: () => undefined });
    return (
        <>
            <Button onClick={() => keep.begin()}>Save</Button>
            {keep.isSuccess && <p>Saved.</p>}
            {keep.error && <p>{keep.error.message}</p>}
            {keep.dialog}
        </>
    );
}

const serve = (changes: unknown[]) =>
    vi.fn((headers: Record<string, string>) =>
        Promise.resolve(headers.Foresee ? { concerned: 1, judged: 1, changes } : {}),
    );

describe('what is foreseen', () => {
    it('is shown before it is done, and done only when that was seen', async () => {
        const write = serve([change]);
        show(<Saving write={write} />);
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect(await screen.findByText('This changes the status of 1 kit, 1 of them for the worse')).toBeTruthy();
        expect(screen.getByText('Not ready')).toBeTruthy();
        await userEvent.click(screen.getByRole('button', { name: 'Go back' }));
        expect(write.mock.calls).toEqual([[{ Foresee: 'yes' }, undefined]]);
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        await userEvent.click(await screen.findByRole('button', { name: 'Save and change them' }));
        expect(await screen.findByText('Saved.')).toBeTruthy();
        expect(write.mock.calls.at(-1)).toEqual([{}, undefined]);
    });

    it('keeps nobody waiting where no kit changes', async () => {
        const write = serve([]);
        show(<Saving write={write} />);
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect(await screen.findByText('Saved.')).toBeTruthy();
        expect(write).toHaveBeenCalledTimes(2);
    });

    it('says why it is refused, and does nothing', async () => {
        const write = vi.fn(() => Promise.reject(new Error('A name is missing.')));
        show(<Saving write={write} />);
        await userEvent.click(screen.getByRole('button', { name: 'Save' }));
        expect(await screen.findByText('A name is missing.')).toBeTruthy();
        expect(write).toHaveBeenCalledOnce();
    });
});
