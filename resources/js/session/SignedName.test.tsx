import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { describe, expect, it } from 'vitest';
import { show } from '../testing/show';
import { isOwnName, isSigned, SignedName } from './SignedName';

function Signing() {
    const [at, set] = useState({ signed: 'Mina Oduya', signedBecause: '' });
    return <SignedName {...at} errors={{}} onChange={(to) => set({ ...at, ...to })} />;
}

describe('the signed name', () => {
    it('is the account name or its initials, however they are spaced or dotted', () => {
        const own = ['Mina Oduya', 'mina  oduya', 'MO', 'M. O.', 'm.o.'];
        expect(own.filter((signed) => isOwnName('Mina Oduya', signed))).toEqual(own);
        const other = ['Mina', 'Oduya', 'OM', 'Rhys Tal', ''];
        expect(other.filter((signed) => isOwnName('Mina Oduya', signed))).toEqual([]);
        expect(isOwnName('Ana-Lucia Bo', 'ALB')).toBe(true);
    });

    it('asks why where it is another one', async () => {
        show(<Signing />);
        expect(screen.queryByRole('textbox', { name: 'Why it is signed by another name' })).toBeNull();
        await userEvent.clear(screen.getByRole('textbox', { name: 'Signed by' }));
        await userEvent.type(screen.getByRole('textbox', { name: 'Signed by' }), 'Rhys Tal');
        expect(screen.getByRole('textbox', { name: 'Why it is signed by another name' })).toBeTruthy();
        expect(screen.getByText(/You are signed in as Mina Oduya/)).toBeTruthy();
        expect(isSigned('Mina Oduya', { signed: 'Rhys Tal', signedBecause: ' ' })).toBe(false);
        expect(isSigned('Mina Oduya', { signed: 'Rhys Tal', signedBecause: 'My device is flat' })).toBe(true);
    });
});
