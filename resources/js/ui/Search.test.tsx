import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, serve } from '../testing/server';
import { show } from '../testing/show';
import { Search, SearchPlace, type Choice } from './Search';

const many: Choice[] = Array.from({ length: 420 }, (_, at) => [`item-${at}`, `Item ${at}`] as const);

function One({ options = many, clears = false, onChoose = () => undefined }: Partial<Parameters<typeof Search>[0]>) {
    const [value, setValue] = useState('');
    return (
        <Search
            label="Item"
            value={clears ? '' : value}
            clears={clears}
            options={options}
            onChoose={(to) => {
                setValue(to);
                onChoose(to);
            }}
        />
    );
}

const field = () => screen.getByRole<HTMLInputElement>('combobox', { name: 'Item' });

describe('a choice out of many', () => {
    it('is found by typing, and chosen by Enter', async () => {
        const onChoose = vi.fn();
        show(<One onChoose={onChoose} />);
        await userEvent.type(field(), 'Item 41');
        expect(screen.getAllByRole('option')).toHaveLength(11);
        await userEvent.keyboard('{Enter}');
        expect(onChoose).toHaveBeenCalledWith('item-41');
        expect(field().value).toBe('Item 41');
    });

    it('draws only so many as anybody reads through', async () => {
        show(<One />);
        await userEvent.click(field());
        expect(screen.getAllByRole('option')).toHaveLength(60);
    });

    it('is empty again for the next one, and in focus, where one adds several', async () => {
        const onChoose = vi.fn();
        show(<One clears onChoose={onChoose} />);
        await userEvent.type(field(), 'Item 7{Enter}');
        expect(onChoose).toHaveBeenCalledWith('item-7');
        expect(field().value).toBe('');
        expect(document.activeElement).toBe(field());
    });

    it('says so where nothing is called so', async () => {
        show(<One />);
        await userEvent.type(field(), 'no such thing');
        expect(screen.getByText('Nothing found')).toBeTruthy();
    });
});

describe('a place', () => {
    afterEach(() => vi.unstubAllGlobals());

    it('is looked for by the server, once typing pauses, and shows its path', async () => {
        const place = { id: 'p1', path: 'Glasshouses, Arid house', name: 'Arid house' };
        const asked = serve(() => answer({ places: [place], page: { page: 1, pages: 1, in_all: 1 } }));
        const onChoose = vi.fn();
        show(<SearchPlace label="Place" value="" onChoose={onChoose} />);
        await userEvent.type(screen.getByRole('combobox', { name: 'Place' }), 'arid');
        await userEvent.click(await screen.findByRole('option', { name: 'Glasshouses, Arid house' }));
        expect(onChoose).toHaveBeenCalledWith('p1');
        expect(asked.length).toBeLessThanOrEqual(2);
    });

    it('that was chosen before is said by its path', async () => {
        serve(() => answer({ places: [{ id: 'p9', path: 'Tree yard', name: 'Tree yard' }] }));
        show(<SearchPlace label="Place" value="p9" onChoose={() => undefined} />);
        await vi.waitFor(() =>
            expect(screen.getByRole<HTMLInputElement>('combobox', { name: 'Place' }).value).toBe('Tree yard'),
        );
    });
});
