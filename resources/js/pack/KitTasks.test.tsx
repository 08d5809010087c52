import { screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { kit } from '../testing/samples';
import { answer, serve } from '../testing/server';
import { show } from '../testing/show';
import { WhoAnswers } from './KitTasks';

afterEach(() => vi.unstubAllGlobals());

it('says that nobody answers for a kit only once that was read', async () => {
    let read: (() => void) | undefined;
    const told = new Promise<void>((done) => (read = done));
    serve(async () => {
        await told;
        return answer({ tasks: [], plan: [], in_all: 0, responsible: null, deputy: null, may_give: false });
    });
    show(<WhoAnswers kit={kit()} />);
    expect(screen.getByRole('heading', { name: 'Responsibility and tasks' })).toBeTruthy();
    expect(screen.queryByText('nobody yet')).toBeNull();
    read?.();
    expect(await screen.findAllByText('nobody yet')).toHaveLength(2);
});
