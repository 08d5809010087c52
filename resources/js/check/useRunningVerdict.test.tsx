import { screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { kit, user } from '../testing/samples';
import { answer, refuse, serve } from '../testing/server';
import { show } from '../testing/show';
import { begin, countedRows, pocketAsRecorded, type Draft } from './draft';
import { useRunningVerdict } from './useRunningVerdict';

afterEach(() => vi.unstubAllGlobals());

const counted = () => pocketAsRecorded(begin(kit(), user, 'full'), 'front', []);

function Says({ draft }: { draft: Draft }) {
    const { verdict, error } = useRunningVerdict(draft);
    return <p>{error ? `No verdict: ${error.message}` : (verdict?.sentence ?? 'Asking')}</p>;
}

describe('the running verdict', () => {
    it('is of what was counted, and of what was reported before the check was begun', async () => {
        const draft = counted();
        const sent = serve(() => answer({ ...kit().verdict, sentence: 'Ready, actions due.' }));
        show(<Says draft={draft} />);
        await screen.findByText('Ready, actions due.');
        expect(sent).toEqual([
            {
                method: 'POST',
                path: `/api/kits/${draft.kit}/judgement`,
                body: { rows: countedRows(draft), begun_at: draft.startedAt },
            },
        ]);
        expect(countedRows(draft).length).toBeGreaterThan(0);
    });

    it('is none where the server refuses to judge', async () => {
        serve(() => refuse(422, 'This begins in the future; set this device’s clock.'));
        show(<Says draft={counted()} />);
        await screen.findByText(/^No verdict: /);
    });
});
