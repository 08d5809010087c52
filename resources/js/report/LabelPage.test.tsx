import { screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { kit } from '../testing/samples';
import { answer, serve } from '../testing/server';
import { show } from '../testing/show';
import LabelPage from './LabelPage';

afterEach(() => vi.unstubAllGlobals());

const none: Schemas['ReportCode'] = { made_at: null, made_by: null, address: null };
const made = { made_at: '2026-11-27T10:00:00Z', made_by: 'Maren Oduya', address: null };

async function open(code: Schemas['ReportCode'], may: string[]) {
    let now = code;
    const sent = serve((one) => {
        if (one.path === '/api/kits/QH-03') {
            return answer(kit({ place: { path: 'Glasshouses, Tropical house' } as Schemas['KitResource']['place'] }));
        }
        if (one.method === 'POST') {
            now = made;
            return answer({ ...made, address: 'https://kits.example/report/abcdefghijklmnop' });
        }
        if (one.method === 'DELETE') {
            now = none;
        }
        return answer(now);
    });
    show(
        <Routes>
            <Route path="/kits/:code/label" element={<LabelPage />} />
        </Routes>,
        may,
        '/kits/QH-03/label',
    );
    await screen.findByRole('heading', { name: 'Label of QH-03' });
    return { person: userEvent.setup(), sent };
}

const reportCodes = () => screen.queryAllByRole('img', { name: 'Code for reports without an account' });

describe('the label of a kit', () => {
    it('has the code of the kit and the first aid sign, four of them on A4', async () => {
        const { person } = await open(none, []);
        expect(screen.getAllByRole('img', { name: 'Code of QH-03' })).toHaveLength(1);
        expect(screen.getByRole('img', { name: 'First aid sign: a white cross on green' })).toBeTruthy();
        expect(screen.getByText('Glasshouses, Tropical house')).toBeTruthy();
        await person.selectOptions(screen.getByLabelText('Paper'), 'A4');
        expect(screen.getAllByRole('img', { name: 'Code of QH-03' })).toHaveLength(4);
        expect(reportCodes()).toHaveLength(0);
        expect(screen.queryByRole('button', { name: /code/i })).toBeNull();
    });

    it('shows the second code once, when the lead makes it, and no more after it is withdrawn', async () => {
        const { person } = await open(none, ['equip']);
        expect(await screen.findByText(/^It has no code for reports without an account/)).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Make a code for reports' }));
        await person.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'Make a code for reports' }));
        expect(await screen.findByText(/by Maren Oduya. The code is on the label below. Print it now/)).toBeTruthy();
        expect(await screen.findAllByRole('img', { name: 'Code for reports without an account' })).toHaveLength(1);
        await person.click(await screen.findByRole('button', { name: 'Withdraw the code' }));
        await person.click(within(screen.getByRole('dialog')).getByRole('button', { name: 'Withdraw the code' }));
        expect(await screen.findByText(/^It has no code for reports without an account/)).toBeTruthy();
        expect(reportCodes()).toHaveLength(0);
    });

    it('of a code that was made before says that it is not kept in readable form', async () => {
        await open(made, ['equip']);
        expect(await screen.findByText(/It is not kept in readable form/)).toBeTruthy();
        expect(reportCodes()).toHaveLength(0);
    });
});
