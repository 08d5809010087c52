import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { questions } from '../api/queries';
import { kit } from '../testing/samples';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import { SealDialog } from './SealDialog';

afterEach(() => vi.unstubAllGlobals());

describe('the seal of a kit', () => {
    it('is reported broken with the reason, resting on what was seen', async () => {
        const sent = serve(() => answer({ ...kit(), seal: { state: 'broken', number: 'S-100' } }));
        const client = show(<SealDialog kit={kit()} />);
        await userEvent.click(screen.getByRole('button', { name: 'Report seal broken' }));
        expect(screen.getByText('The seal of QH-03 is broken')).toBeTruthy();
        const save = screen.getByRole<HTMLButtonElement>('button', { name: 'Report seal broken' });
        expect(save.disabled).toBe(true);
        await userEvent.type(screen.getByRole('textbox', { name: 'Reason' }), ' Found open on the wall. ');
        await userEvent.click(save);
        expect(sent[0]?.path).toMatch(/^\/api\/kits\/QH-03\/seals\/[0-9a-z]{26}$/);
        expect(sent[0]?.body).toMatchObject({
            event: 'broken',
            reason: 'Found open on the wall.',
            seal_number: null,
            base: { epoch: 1, number: 40 },
        });
        await vi.waitFor(() => {
            expect(client.getQueryData(questions.kit('QH-03').queryKey)?.seal.state).toBe('broken');
        });
    });

    it('keeps what was typed where the server refuses it, and sends the same operation again', async () => {
        let isTaken = false;
        const sent = serve(() =>
            isTaken
                ? answer(kit())
                : refuse(422, 'Not accepted.', { seal_number: ['Seal S-7 is on another kit. Read it again.'] }),
        );
        show(<SealDialog kit={{ ...kit(), seal: { state: 'none', number: null } } as never} />);
        await userEvent.click(screen.getByRole('button', { name: 'Seal this kit' }));
        const number = screen.getByRole<HTMLInputElement>('textbox', { name: 'Number of the new seal' });
        await userEvent.type(number, 'S-7{Enter}');
        expect(await screen.findByText('Seal S-7 is on another kit. Read it again.')).toBeTruthy();
        expect(number.value).toBe('S-7');
        isTaken = true;
        await userEvent.type(number, '1{Enter}');
        expect(sent[1]?.path).toBe(sent[0]?.path);
        expect(sent[1]?.body).toMatchObject({ event: 'set', seal_number: 'S-71', reason: null });
        await vi.waitFor(() => {
            expect(screen.queryByRole('dialog')).toBeNull();
        });
    });
});
