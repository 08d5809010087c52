import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { plan } from '../testing/restock';
import { kit } from '../testing/samples';
import { answer, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';
import { BeginRound } from './BeginRound';
import { restocks } from './draft';
import { OpenRounds } from './OpenRounds';
import RoundPage from './RoundPage';

afterEach(() => {
    vi.unstubAllGlobals();
    restocks.drop('QH-05');
});

const ofRound = (code: string, to: Partial<Schemas['RoundKit']> = {}): Schemas['RoundKit'] => ({
    code,
    name: `Box ${code}`,
    place: 'Café',
    pieces: 2,
    wanted: 3,
    done_at: null,
    done_by: null,
    skipped_because: null,
    ...to,
});

const round: Schemas['RoundResource'] = {
    id: 'r1',
    store: 's1',
    store_name: 'Cupboard',
    made_by: 'Mina Oduya',
    made_at: '2026-11-27T09:00:00Z',
    is_ended: false,
    box: [{ name: 'Cold pack', caution: 'Not on bare skin', lot: 'C1', good_until: null, quantity: 2 }],
    kits: [
        ofRound('QH-04', { done_at: '2026-11-27T09:10:00Z', done_by: 'Ned Abara' }),
        ofRound('QH-05'),
        ofRound('QH-06', { done_at: '2026-11-27T09:20:00Z', done_by: 'Ned Abara', skipped_because: 'Room locked' }),
    ],
};

async function open(more: (sent: Sent) => Response | undefined = () => undefined, may = ['restock'], of = round) {
    const sent = serve((one) => more(one) ?? answer(of));
    show(
        <Routes>
            <Route path="/rounds/:id" element={<RoundPage />} />
        </Routes>,
        may,
        '/rounds/r1',
    );
    await screen.findByRole('heading', { name: 'Round from Cupboard' });
    return { person: userEvent.setup(), sent };
}

describe('a round over several kits', () => {
    it('says of each kit what is in the box and what the store lacks, who was there, and which is next', async () => {
        await open();
        expect(screen.getByText(/2 of 3 kits done/)).toBeTruthy();
        expect(screen.getByText(/2 pieces in the box, 1 piece the store does not have/)).toBeTruthy();
        expect(screen.getByText(/✓ Done by Ned Abara/)).toBeTruthy();
        expect(screen.getByText(/− Passed by, Ned Abara: Room locked/)).toBeTruthy();
        expect(screen.getByText('Caution: Not on bare skin')).toBeTruthy();
        const restock = screen.getByRole('link', { name: 'Restock QH-05' });
        expect(restock.getAttribute('href')).toBe('/kits/QH-05/restock?round=r1&store=s1');
        expect(screen.queryByRole('link', { name: 'Restock QH-04' })).toBeNull();
    });

    it('passes a kit by with a reason only', async () => {
        const { person, sent } = await open();
        await person.click(screen.getByRole('button', { name: 'Pass by QH-05' }));
        expect(screen.getByRole('button', { name: 'Pass by' })).toHaveProperty('disabled', true);
        await person.type(screen.getByLabelText('Why'), 'The room is locked');
        await person.click(screen.getByRole('button', { name: 'Pass by' }));
        await waitFor(() => expect(sent.some((one) => one.method === 'PUT')).toBe(true));
        expect(sent.find((one) => one.method === 'PUT')).toMatchObject({
            path: '/api/rounds/r1/kits/QH-05/skipping',
            body: { reason: 'The room is locked' },
        });
    });

    it('keeps the lists of the kits that are left on the device, for where there is no signal', async () => {
        const { person } = await open((one) =>
            one.path === '/api/kits/QH-05'
                ? answer(kit({ code: 'QH-05' }))
                : one.path.endsWith('/restock')
                  ? answer({ ...plan, out: [], in: [], shelf: [] })
                  : undefined,
        );
        expect(restocks.of('QH-05')).toBeNull();
        await person.click(screen.getByRole('button', { name: 'Take the lists along' }));
        expect(await screen.findByText(/^The lists of 1 kit are on this device/)).toBeTruthy();
        expect(restocks.of('QH-05')).toMatchObject({ kit: 'QH-05', round: 'r1', store: 's1' });
    });

    it('is over once it has ended, and is read by who may not restock', async () => {
        await open(undefined, ['restock'], { ...round, is_ended: true });
        expect(screen.getByText(/^This round has ended/)).toBeTruthy();
        expect(screen.queryByRole('link', { name: 'Restock QH-05' })).toBeNull();
        expect(screen.queryByRole('button', { name: 'End this round' })).toBeNull();
    });
});

describe('rounds under way', () => {
    it('are gone on with by whoever restocks', async () => {
        serve(() =>
            answer([
                {
                    id: 'r1',
                    store: 'Cupboard',
                    made_by: 'Ned Abara',
                    made_at: '2026-11-27T09:00:00Z',
                    kits: 5,
                    done: 2,
                },
            ]),
        );
        show(<OpenRounds />);
        expect(await screen.findByText('2 of 5 kits done')).toBeTruthy();
        const goOn = screen.getByRole('link', { name: 'Go on with the round from Cupboard' });
        expect(goOn.getAttribute('href')).toBe('/rounds/r1');
    });

    it('take a kit once: what is refused is said, and sent again under the same id', async () => {
        const sent = serve(() =>
            answer(
                {
                    title: 'Not accepted',
                    detail: 'No',
                    errors: { kits: ['QH-05 is on another round already.'] },
                    changes: [],
                },
                422,
            ),
        );
        show(<BeginRound codes={['QH-05']} store="s1" />);
        const person = userEvent.setup();
        await person.click(screen.getByRole('button', { name: 'Walk this round' }));
        expect((await screen.findByRole('alert')).textContent).toBe('QH-05 is on another round already.');
        await person.click(screen.getByRole('button', { name: 'Walk this round' }));
        await waitFor(() => expect(sent).toHaveLength(2));
        expect(sent[0]?.path).toBe(sent[1]?.path);
    });
});
