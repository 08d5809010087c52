import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keepToday } from '../api/today';
import {
    count,
    dateOrder,
    isNoDay,
    listOptions,
    readPrinted,
    twoReadings,
    sayDay,
    sayElsewhere,
    sayExpiry,
    sayGoodUntil,
    sayInstant,
    sayList,
    sayMoney,
    sayPrinted,
    verdictWords,
} from './words';

const two = (number: number) => String(number).padStart(2, '0');
const month = fc.integer({ min: 1, max: 12 });
const names = ['JAN', 'FEB', 'MAR', 'APR', 'MAY', 'JUN', 'JUL', 'AUG', 'SEP', 'OCT', 'NOV', 'DEC'];
const longNames = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September'];

describe('lists to choose from', () => {
    it('are each told apart', () => {
        const list = { id: '1', code: 'office', title: 'Office kit', size: null, edition: '1', kind: 'kit' };
        const words = listOptions([
            list,
            { ...list, id: '2', edition: '2' },
            { ...list, id: '3', code: 'office-2' },
            { ...list, id: '4', kind: 'module' },
        ]).map(([, word]) => word);
        expect(words).toEqual([
            'Office kit, edition 1 (office)',
            'Office kit, edition 2',
            'Office kit, edition 1 (office-2)',
            'Office kit, edition 1, module',
        ]);
    });
});

describe('a date typed as it is printed', () => {
    it('is read alike in every way that packs print it', () => {
        fc.assert(
            fc.property(
                fc.integer({ min: 2020, max: 2099 }),
                month,
                fc.integer({ min: 1, max: 28 }),
                (year, of, day) => {
                    const name = names[of - 1] ?? '';
                    const short = two(year % 100);
                    const whole = `${year}-${two(of)}-${two(day)}`;
                    for (const typed of [
                        whole,
                        `${year}/${of}/${day}`,
                        `${day} ${name} ${short}`,
                        `${two(day)}${name}${year}`,
                        `${day}-${name.toLowerCase()}-${year}`,
                    ]) {
                        expect(readPrinted(typed), typed).toBe(whole);
                    }
                    for (const typed of [
                        `${two(of)}/${short}`,
                        `${of}/${year}`,
                        `${year}-${of}`,
                        `${name} ${short}`,
                        ` ${name}  ${year} `,
                        `${longNames[of - 1] ?? name} ${year}`,
                    ]) {
                        expect(readPrinted(typed), typed).toBe(`${year}-${two(of)}`);
                    }
                },
            ),
        );
    });

    it.each([
        '13/27',
        '00/27',
        '2027-13',
        '2027-03-32',
        'March',
        '12',
        'XYZ 27',
        '31.12',
        '',
        '03/2',
        '1/2/3/4',
        '2027-00-10',
        '29 FEB 2027',
        '2027-02-29',
        '31.04.2027',
        '31 JUN 27',
        '12/03/2027',
        '12.03.27',
    ])('is not guessed at: %s', (typed) => expect(readPrinted(typed)).toBeNull());
});

describe('a date in numbers', () => {
    it('could mean two days, and is read in the order that is known', () => {
        expect(twoReadings('12/03/2027')).toEqual({ day: '2027-03-12', month: '2027-12-03' });
        expect(readPrinted('12.03.2027', 'day')).toBe('2027-03-12');
        expect(readPrinted('12/03/27', 'month')).toBe('2027-12-03');
        expect(twoReadings('03/03/2027')).toBeNull();
        expect(readPrinted('03/03/2027')).toBe('2027-03-03');
    });

    it('asks nothing where a number is no month', () => {
        expect(readPrinted('25/12/2027')).toBe('2027-12-25');
        expect(readPrinted('12/25/27')).toBe('2027-12-25');
        expect(readPrinted('12/25/27', 'day')).toBe('2027-12-25');
        expect(twoReadings('25/12/2027')).toBeNull();
    });

    it('knows which days there are', () => {
        expect(readPrinted('29 FEB 2028')).toBe('2028-02-29');
        expect(['29 FEB 2027', '31/04/2027', '2027-13', '2100-02-29'].map((typed) => isNoDay(typed))).toEqual([
            true,
            true,
            true,
            true,
        ]);
        expect(['29 FEB 2028', 'March', '', '12/03/2027'].map((typed) => isNoDay(typed))).toEqual([
            false,
            false,
            false,
            false,
        ]);
    });

    it('is asked about once on a device', () => {
        expect(dateOrder.read()).toBeNull();
        dateOrder.keep('day');
        expect(dateOrder.read()).toBe('day');
    });
});

describe('what is said', () => {
    it('says days, months and money as people do', () => {
        expect(sayDay('2026-09-04')).toBe('4 Sep 2026');
        expect(sayPrinted('2027-03')).toBe('Mar 2027');
        expect(sayPrinted('2027-03-31')).toBe('31 Mar 2027');
        expect(sayInstant('2026-11-23 23:30:00Z', 'Europe/Paris')).toBe('24 Nov 2026, 00:30');
        expect(sayMoney(1250, 'GBP')).toBe('£12.50');
        expect(sayList({ title: 'Table 1', size: 'medium' })).toBe('Table 1, medium');
        expect(sayList({ title: 'Table 1', size: null })).toBe('Table 1');
        expect(sayList({ title: 'Workplace kits', size: 'class-a' })).toBe('Workplace kits, class A');
    });

    it('counts things in the right number', () => {
        expect(count(1, 'kit')).toBe('1 kit');
        expect(count(0, 'kit')).toBe('0 kits');
        expect(count(2, 'entry', 'entries')).toBe('2 entries');
        expect(sayElsewhere(1)).toContain('1 piece shown elsewhere in this kit counts');
        expect(sayElsewhere(3)).toContain('3 pieces shown elsewhere in this kit count ');
    });

    it('says expired only of what is past where the kits are', () => {
        keepToday('2027-03-31');
        expect(sayExpiry('2027-03')).toBe('expires Mar 2027');
        expect(sayExpiry('2027-02')).toBe('expired Feb 2027');
        expect(sayExpiry('2027-03-31')).toBe('expires 31 Mar 2027');
        expect(sayGoodUntil('2027-03-31', true)).toBe('expires 31 Mar 2027');
        keepToday('2027-04-01');
        expect(sayExpiry('2027-03')).toBe('expired Mar 2027');
        expect(sayGoodUntil('2027-03-31', true)).toBe('expired 31 Mar 2027');
        expect(sayGoodUntil(null, true)).toBe('no expiry date on record');
        expect(sayGoodUntil(null, false)).toBe('undated');
    });

    it('has a word of its own for each verdict', () => {
        expect(new Set(Object.values(verdictWords)).size).toBe(6);
    });
});
