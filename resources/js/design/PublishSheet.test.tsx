import { screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { begin, chip, draft, foresee, inPocket, Packs, sentDraft } from '../testing/packing';
import { answer, refuse, serve, type Sent } from '../testing/server';
import { show } from '../testing/show';

afterEach(() => vi.unstubAllGlobals());

describe('publishing a design', () => {
    it('says nothing of what it is before it was looked through', async () => {
        let read: (() => void) | undefined;
        const told = new Promise<void>((done) => (read = done));
        let asked = 0;
        serve(async (sent) => {
            if (sent.path === '/api/designs/foresight' && ++asked > 1) {
                await told;
            }
            return sent.path === '/api/designs/foresight'
                ? answer(foresee(sentDraft(sent)))
                : answer(sent.path.endsWith('/effects') ? { kits: [], in_all: 0, currency: 'GBP' } : []);
        });
        show(<Packs onPublished={() => undefined} />, ['plan']);
        await screen.findAllByText('Zinc oxide tape');
        const person = userEvent.setup();
        await person.click(chip(/Shears/));
        await person.selectOptions(screen.getByLabelText('Lives in'), 'Main, Back');
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        expect(screen.getByText('Looking it through…')).toBeTruthy();
        expect(screen.queryByText('Nothing stands in the way.')).toBeNull();
        expect(screen.getByRole('button', { name: 'Publish edition 2' })).toHaveProperty('disabled', true);
        read?.();
        expect(await screen.findByText('Nothing stands in the way.')).toBeTruthy();
    });

    it('names what stands in the way', async () => {
        const { person } = await begin();
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        expect(await screen.findByText('L2 has no pocket.')).toBeTruthy();
    });

    it('sends one edition again as the same, and what was changed since as another', async () => {
        const tries: Sent[] = [];
        const { person, onPublished } = await begin((sent) => {
            if (sent.method === 'PUT') {
                tries.push(sent);
                return tries.length < 3
                    ? refuse(503, 'The database does not answer.')
                    : answer({ id: 'e2', number: 2 });
            }
            return sent.path === '/api/designs/foresight'
                ? answer(foresee(sentDraft(sent), { faults: [] }))
                : undefined;
        });
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        await screen.findByText('Nothing stands in the way.');
        await person.click(screen.getByRole('button', { name: 'Publish edition 2' }));
        expect(await screen.findByText('The database does not answer.')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Publish edition 2' }));
        await waitFor(() => expect(tries).toHaveLength(2));
        expect(tries[1]?.path).toBe(tries[0]?.path);
        await person.click(await screen.findByRole('button', { name: 'Back to packing' }));
        await person.click(chip(/Shears/));
        await person.selectOptions(screen.getByLabelText('Lives in'), 'Main, Back');
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        await screen.findByText('Nothing stands in the way.');
        await person.click(screen.getByRole('button', { name: 'Publish edition 2' }));
        await waitFor(() => expect(onPublished).toHaveBeenCalledWith('d1'));
        expect(tries[2]?.path).not.toBe(tries[0]?.path);
    });

    it('joins what somebody published meanwhile, and no step leads back to before it', async () => {
        const theirs = {
            ...draft,
            compartments: draft.compartments.map((one) => (one.id === 'back' ? { ...one, name: 'Rear' } : one)),
        };
        const { person } = await begin((sent) => {
            if (sent.method === 'PUT') {
                return refuse(409, 'Edition 2 was published meanwhile.');
            }
            if (sent.path.endsWith('/merging')) {
                return answer({
                    edition: 'e2',
                    number: 2,
                    draft: { ...sentDraft(sent), compartments: theirs.compartments },
                    theirs,
                    taken: ['The pocket Back: changed.'],
                    clashes: [],
                });
            }
            return sent.path === '/api/designs/foresight'
                ? answer(foresee(sentDraft(sent), { faults: [] }))
                : undefined;
        });
        await person.click(chip(/Shears/));
        await person.selectOptions(screen.getByLabelText('Lives in'), 'Main, Back');
        await person.click(screen.getByRole('button', { name: 'Review and publish' }));
        await screen.findByText('Nothing stands in the way.');
        await person.click(screen.getByRole('button', { name: 'Publish edition 2' }));
        expect(await screen.findByText('The pocket Back: changed.')).toBeTruthy();
        await person.click(screen.getByRole('button', { name: 'Join both' }));
        expect(await screen.findByText('Joined with edition 2. Look it over, then publish.')).toBeTruthy();
        expect(inPocket('Rear')).toEqual(['L2']);
        expect(screen.getByRole('button', { name: 'Undo' })).toHaveProperty('disabled', true);
    });
});
