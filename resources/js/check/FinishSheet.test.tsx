import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import { beforeEach, describe, expect, it } from 'vitest';
import { keepToday } from '../api/today';
import { kit, sealedModule, user } from '../testing/samples';
import { show } from '../testing/show';
import { begin, type Draft } from './draft';
import { FinishSheet } from './FinishSheet';

let now: Draft;

interface FinishProps {
    of?: ReturnType<typeof kit>;
    left?: number;
    to?: Partial<Draft>;
}

function Finish({ of = kit(), left = 0, to = {} }: FinishProps) {
    const [draft, setDraft] = useState<Draft>({ ...begin(of, user, 'full'), ...to });
    useEffect(() => {
        now = draft;
    }, [draft]);
    return (
        <FinishSheet
            kit={of}
            draft={draft}
            left={left}
            change={(change) => setDraft((was) => change(was))}
            onLeave={null}
        />
    );
}

const signs = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Sign and finish' });

describe('finishing a check', () => {
    beforeEach(() => keepToday('2026-11-27'));

    it('is not to be had before every row was counted, and says how many are not', () => {
        show(<Finish left={3} />);
        expect(signs().disabled).toBe(true);
        expect(screen.getByText('3 rows not counted yet. Count each, or mark it as recorded.')).toBeTruthy();
    });

    it('is signed with the own name or its initials, or with another and the reason', async () => {
        show(<Finish />);
        expect(signs().disabled).toBe(false);
        const name = screen.getByLabelText('Signed by');
        await userEvent.clear(name);
        expect(signs().disabled).toBe(true);
        await userEvent.type(name, 'Somebody Else');
        expect(signs().disabled).toBe(true);
        await userEvent.type(screen.getByLabelText('Why it is signed by another name'), 'She counted, I typed');
        expect(signs().disabled).toBe(false);
        await userEvent.clear(name);
        await userEvent.type(name, 'm.o.');
        expect(screen.queryByLabelText('Why it is signed by another name')).toBeNull();
        await userEvent.click(signs());
        expect(now.isWaiting).toBe(true);
        expect(signs().disabled).toBe(true);
    });

    it('asks for the new seal where the kit is kept sealed, and of each module that was opened', async () => {
        const sealed = kit({ sealed_design: true, modules: [sealedModule()] });
        const begun = begin(sealed, user, 'full');
        show(
            <Finish of={sealed} to={{ modules: begun.modules.map((one) => ({ ...one, state: 'opened' as const })) }} />,
        );
        await userEvent.type(screen.getByLabelText('Number of the new seal'), 'S-2001');
        await userEvent.type(screen.getByLabelText(/^Number of the new seal of .*Eye roll/), 'EY-1500');
        expect([now.sealSet, now.modules[0]?.sealSet]).toEqual(['S-2001', 'EY-1500']);
    });

    it('keeps all that was typed where it is refused, with the reason where it belongs', () => {
        const errors = {
            note: ['At most 2,000 letters.'],
            seal_set: ['This seal is on another kit.'],
            seal_reason: ['Say why the seal was broken.'],
            'rows.0.quantity': ['A whole number.'],
            'rows.2.lot': ['Which lot is it?'],
        };
        show(
            <Finish
                of={kit({ sealed_design: true })}
                to={{ errors, note: 'Lid is stiff', sealSet: 'S-1', sealReason: '' }}
            />,
        );
        for (const said of [errors.note, errors.seal_set, errors.seal_reason].flat()) {
            expect(screen.getByText(said)).toBeTruthy();
        }
        expect(screen.getByText('2 rows in the pockets above need correcting; each says why.')).toBeTruthy();
        expect(screen.getByLabelText<HTMLInputElement>('Note').value).toBe('Lid is stiff');
        expect(screen.getByLabelText<HTMLInputElement>('Number of the new seal').value).toBe('S-1');
    });

    it('asks once more for the seal of a closed module that was not accepted', async () => {
        const of = kit({ modules: [sealedModule()] });
        const closed = begin(of, user, 'full').modules.map((one) => ({
            ...one,
            state: 'closed' as const,
            sealFound: 'EY-9',
        }));
        show(
            <Finish
                of={of}
                to={{ modules: closed, errors: { 'modules.0.seal_found': ['It is not the one on record.'] } }}
            />,
        );
        const number = screen.getByLabelText<HTMLInputElement>(/^Number on the seal of .*Eye roll/);
        expect(screen.getByText('It is not the one on record.')).toBeTruthy();
        expect(number.value).toBe('EY-9');
        await userEvent.clear(number);
        await userEvent.type(number, 'EY-1499');
        expect(now.modules[0]?.sealFound).toBe('EY-1499');
    });
});
