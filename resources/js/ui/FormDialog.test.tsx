import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { expect, it, vi } from 'vitest';
import { Problem } from '../api/client';
import { AskDialog } from './AskDialog';
import { FormDialog } from './FormDialog';

it('closes when it was saved, and keeps what was typed beside the error where it was not', async () => {
    const save = vi
        .fn()
        .mockRejectedValueOnce(new Problem(422, 'Not accepted as entered', 'Too long.', { name: ['Too long.'] }, []))
        .mockResolvedValueOnce(undefined);
    render(
        <FormDialog word="Open" title="A name" done="Save" save={save}>
            {(problem) => <span>{problem?.at('name') ?? 'Type a name.'}</span>}
        </FormDialog>,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Open' }));
    expect(screen.getByText('Type a name.')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.getAllByText('Too long.').length).toBeGreaterThan(0));
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect(save).toHaveBeenCalledTimes(2);
});

it('says that nothing was saved where the server does not answer, and forgets it when it is opened again', async () => {
    render(
        <AskDialog
            word="Retire"
            title="Retire the shed"
            done="Do it"
            about="It goes."
            field="place"
            save={() => Promise.reject(new TypeError('offline'))}
        />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Retire the shed' }));
    fireEvent.click(screen.getByRole('button', { name: 'Do it' }));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('Nothing was saved'));
    fireEvent.click(screen.getByRole('button', { name: 'Cancel' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    fireEvent.click(screen.getByRole('button', { name: 'Retire the shed' }));
    expect(screen.queryByRole('alert')).toBeNull();
});

it('says what was refused in place of what it is about', async () => {
    render(
        <AskDialog
            word="Retire"
            title="Retire the shed"
            done="Do it"
            about="It goes."
            field="place"
            save={() => Promise.reject(new Problem(422, 'No', 'no', { place: ['Kits hang there.'] }, []))}
        />,
    );
    fireEvent.click(screen.getByRole('button', { name: 'Retire the shed' }));
    expect(screen.getByText('It goes.')).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: 'Do it' }));
    await waitFor(() => expect(screen.getByText('Kits hang there.')).toBeDefined());
    expect(screen.queryByText('It goes.')).toBeNull();
});
