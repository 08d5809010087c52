import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import { ShiftsSheet } from './ShiftsSheet';

afterEach(() => vi.unstubAllGlobals());

const shifts = [
    { name: 'day', weekdays: [1, 2, 3, 4, 5, 6, 7], from: '08:00', to: '18:00', now: true },
    { name: 'night', weekdays: [5, 6], from: '22:00', to: '06:00', now: false },
];

it('says when each shift is, and which is on', async () => {
    serve(() => answer(shifts));
    show(<ShiftsSheet />);
    expect((await screen.findAllByRole('listitem')).map((one) => one.textContent)).toEqual([
        'day: every day, 08:00 to 18:00 · on now',
        'night: Fri, Sat, 22:00 to 06:00 on the next day',
    ]);
});

it('sends all of them, each with its name before, and shows what was refused at its field', async () => {
    const sent = serve((request) =>
        request.method === 'PUT'
            ? refuse(422, 'Not accepted as entered.', {
                  'shifts.1.name': ['Two shifts have this name: give each its own.'],
                  shifts: ['The shift day stays: people are posted to it.'],
              })
            : answer(shifts),
    );
    show(<ShiftsSheet />);
    await userEvent.click(await screen.findByRole('button', { name: 'Change shifts' }));
    const night = within(screen.getByRole('group', { name: 'night' }));
    await userEvent.clear(night.getByRole('textbox', { name: 'Name' }));
    await userEvent.type(screen.getAllByRole('textbox', { name: 'Name' })[1] as HTMLElement, 'day');
    await userEvent.click(
        within(screen.getAllByRole('group', { name: 'Begins on' })[1] as HTMLElement).getByLabelText('Sun'),
    );
    await userEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('Two shifts have this name: give each its own.')).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toBe('The shift day stays: people are posted to it.');
    expect(sent.find((one) => one.method === 'PUT')?.body).toEqual({
        shifts: [
            { was: 'day', name: 'day', weekdays: [1, 2, 3, 4, 5, 6, 7], from: '08:00', to: '18:00' },
            { was: 'night', name: 'day', weekdays: [5, 6, 7], from: '22:00', to: '06:00' },
        ],
    });
    expect(screen.getAllByRole<HTMLInputElement>('textbox', { name: 'Name' })[1]?.value).toBe('day');
});
