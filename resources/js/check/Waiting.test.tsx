import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { kit, sealedModule, user } from '../testing/samples';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import type { Schemas } from '../api/client';
import { restocks, type RestockDraft } from '../restock/draft';
import { begin, sign, type Draft } from './draft';
import { moduleOf } from './modules';
import { drafts } from './drafts';
import { ModuleSeal } from './ModuleSeal';
import { Outbox } from './Outbox';
import WaitingPage from './WaitingPage';

beforeEach(() => drafts.all().forEach((draft) => drafts.drop(draft)));
afterEach(() => vi.unstubAllGlobals());

function keepRestock() {
    const steps = [true, false].map((isDone) => ({ isDone }));
    restocks.keep({ kit: 'QH-09', begunAt: '2027-01-02T09:00:00Z', steps, errors: {} } as unknown as RestockDraft);
}

const draft = (code: string, to: Partial<Draft> = {}) => ({ ...begin(kit({ code }), user, 'full'), ...to });

describe('what waits on this device', () => {
    it('says on every screen why a signed check was not accepted', async () => {
        drafts.keep(sign(draft('QH-03')));
        serve(() => refuse(422, 'Not accepted as entered.', { note: ['A note has 500 characters at the most.'] }));
        show(<Outbox />);
        const alert = await screen.findByRole('alert');
        expect(alert.textContent).toContain('Needs you: Check of QH-03 was not accepted.');
        expect(alert.textContent).toContain('A note has 500 characters at the most.');
        expect(screen.getByRole('link', { name: 'Correct: Check of QH-03' }).getAttribute('href')).toBe(
            '/kits/QH-03/check',
        );
        expect(screen.queryByRole('status')).toBeNull();
    });

    it('says that one waits as long as the server does not answer, and nothing once it has it', async () => {
        drafts.keep(sign(draft('QH-04')));
        let isUp = false;
        serve(() => (isUp ? answer({ number: 41 }) : refuse(503, 'Not now.')));
        show(<Outbox />);
        expect((await screen.findByRole('status')).textContent).toContain('Check of QH-04');
        expect(screen.getByRole('link', { name: 'Waiting to be sent' })).toBeTruthy();
        isUp = true;
        window.dispatchEvent(new Event('online'));
        await vi.waitFor(() => expect(screen.queryByRole('status')).toBeNull());
        expect(drafts.all()).toEqual([]);
    });

    it('lists what was refused, what waits and what is not signed yet, each apart', () => {
        drafts.keep(draft('QH-05', { trouble: { title: 'No', detail: 'Kit QH-05 has no such pocket.', changes: [] } }));
        drafts.keep(sign(draft('QH-06')));
        drafts.keep(draft('QH-07'));
        keepRestock();
        serve(() => refuse(503, 'Not now.'));
        show(<WaitingPage />);
        expect(screen.getAllByRole('heading', { level: 2 }).map((heading) => heading.textContent)).toEqual([
            'Not accepted: they need you',
            'Signed, waiting for the server',
            'Begun on this device, not signed yet',
        ]);
        expect(screen.getByText('Kit QH-05 has no such pocket.')).toBeTruthy();
        expect(screen.getByText('Restock of QH-09')).toBeTruthy();
        expect(screen.getByText(/1 of 2 steps done/)).toBeTruthy();
        expect(screen.getAllByText(/0 of 3 rows counted/)).toHaveLength(3);
    });

    it('discards only what was asked about', async () => {
        drafts.keep(draft('QH-07'));
        show(<WaitingPage />);
        await userEvent.click(screen.getByRole('button', { name: 'Discard: Check of QH-07' }));
        expect(drafts.all()).toHaveLength(1);
        await userEvent.click(screen.getByRole('button', { name: 'Discard permanently' }));
        expect(drafts.all()).toEqual([]);
        expect(screen.queryByText('Check of QH-07')).toBeNull();
    });

    it('says so where nothing waits', () => {
        show(<WaitingPage />);
        expect(screen.getByText(/Nothing of yours waits on this device/)).toBeTruthy();
    });
});

describe('a sealed module', () => {
    const held: Partial<Schemas['KitResource']> = {
        modules: [sealedModule()],
    };

    it('is left closed when its number was read and typed, and opened only for a reason', async () => {
        let now: Draft = begin(kit(held), user, 'full');
        const module = moduleOf(now, 'roll.in');
        const onDone = vi.fn();
        if (!module) {
            throw new Error('It has no module.');
        }
        show(<ModuleSeal draft={now} module={module} change={(to) => (now = to(now))} onDone={onDone} />);
        const open = screen.getByRole<HTMLButtonElement>('button', { name: 'Open and count' });
        expect(open.disabled).toBe(true);
        const leave = screen.getByRole<HTMLButtonElement>('button', { name: 'The seal is whole, leave it closed' });
        expect(leave.disabled).toBe(true);
        await userEvent.type(screen.getByRole('textbox', { name: 'Number on the seal of QH-M1 Eye roll' }), 'EY-1');
        await userEvent.click(leave);
        expect(moduleOf(now, 'roll.in')).toMatchObject({ state: 'closed', sealFound: 'EY-1' });
        expect(onDone).toHaveBeenCalledOnce();
        await userEvent.type(screen.getByRole('textbox', { name: 'Why the seal is broken' }), 'Season begins');
        expect(open.disabled).toBe(false);
        await userEvent.click(open);
        expect(moduleOf(now, 'roll.in')?.state).toBe('opened');
        expect(now.sealReason).toBe('Season begins');
    });
});
