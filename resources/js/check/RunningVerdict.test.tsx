import { screen } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { Problem, type Schemas } from '../api/client';
import { keepToday } from '../api/today';
import { kit, line, user } from '../testing/samples';
import { show } from '../testing/show';
import { begin, pocketAsRecorded } from './draft';
import { lookAt } from './looked';
import { RunningVerdict } from './RunningVerdict';

const lines = [
    { ...line('L1', 'front'), count_first: true },
    { ...line('L2', 'back'), count_first: true },
] as Schemas['LineResource'][];

const reason = (of: string | null, text: string, severity = 'critical') =>
    ({ line: of, text, severity }) as unknown as Schemas['ReasonResource'];

const verdict = (reasons: Schemas['ReasonResource'][], says: Schemas['VerdictResource']['verdict'] = 'ready') =>
    ({ verdict: says, reasons, shifts: [] }) as unknown as Schemas['VerdictResource'];

const begun = () => begin(kit(), user, 'full');
const oneSide = () => lookAt(pocketAsRecorded(begun(), 'front', []), lines);
const bothSides = () => lookAt(pocketAsRecorded(pocketAsRecorded(begun(), 'front', []), 'back', []), lines);

const says = () => screen.getByRole('status', { name: 'Status while counting' }).textContent;

describe('the status while counting', () => {
    beforeEach(() => keepToday('2026-11-27'));

    it('is none before all critical and required lines were counted, whatever the record would be worth', () => {
        show(
            <RunningVerdict
                verdict={verdict([
                    reason('L1', 'Medium dressing: 1 of 4'),
                    reason('L2', 'Gloves: 0 of 6'),
                    reason(null, 'Too heavy'),
                ])}
                isBehind={false}
                error={null}
                look={oneSide()}
                left={1}
            />,
        );
        expect(says()).toBe('No status yet1 of 2 critical and required lines countedMedium dressing: 1 of 4');
        expect(says()).not.toContain('Ready');
    });

    it('says once all were counted what it is, and of how many rows it takes the record for true', () => {
        show(
            <RunningVerdict
                verdict={verdict([reason(null, 'A loose piece', 'note')])}
                isBehind={false}
                error={null}
                look={bothSides()}
                left={2}
            />,
        );
        expect(says()).toBe('Readyif the other 2 are as recorded');
    });

    it('says when it is of everything as it was counted, with the four gravest reasons', () => {
        const many = ['a', 'b', 'c', 'd', 'e', 'f'].map((one) => reason('L1', `Reason ${one}`));
        show(
            <RunningVerdict
                verdict={verdict(many, 'not_ready')}
                isBehind={true}
                error={null}
                look={bothSides()}
                left={0}
            />,
        );
        expect(says()).toBe('Not readyas countedReason aReason bReason cReason dand 2 more reasons');
        expect(screen.getByRole('status').getAttribute('aria-busy')).toBe('true');
    });

    it('is none, and says why, where what was counted could not be judged', () => {
        const refused = new Problem(
            422,
            'Not accepted',
            'Not accepted',
            { rows: ['Count the pieces of one lot in one row.'] },
            [],
        );
        show(
            <RunningVerdict
                verdict={verdict([reason('L1', 'Medium dressing: 1 of 4')])}
                isBehind={false}
                error={refused}
                look={bothSides()}
                left={0}
            />,
        );
        expect(says()).toBe('No status for what you counted lastCount the pieces of one lot in one row.');
    });
});
