import { afterEach, describe, expect, it, vi } from 'vitest';
import { bandsOf, sayJar, smallBands } from '../../resources/js/jar/bands';
import {
    daysFromToday,
    fixed,
    keepTimeIn,
    longDate,
    num,
    sayDate,
    sayDay,
    sayBestBefore,
    counted,
    sayMonths,
    sayUntil,
    shortDate,
    todayDate,
    withForm,
    writeDates,
} from '../../resources/js/ui/words';
import { aJudgedLine, anAssessment } from './made';

describe('numbers as people say them', () => {
    it.each([
        [0, '0'],
        [1.234, '1.23'],
        [9.999, '10'],
        [12.34, '12.3'],
        [99.94, '99.9'],
        [123.6, '124'],
        [1234.5, '1,235'],
        [-12.34, '-12.3'],
        [2.5, '2.5'],
    ])('%d is %s', (value, words) => expect(num(value)).toBe(words));

    it('keeps the digits that were asked for, and no noughts that say nothing', () => {
        expect(num(0.12345, 4)).toBe('0.1235');
        expect(num(3, 2)).toBe('3');
    });

    it('keeps the noughts in a table, where the points stand under each other', () => {
        expect(fixed(3, 1)).toBe('3.0');
        expect(fixed(99.96, 1)).toBe('100.0');
    });
});

describe('days', () => {
    const today = '2026-03-01';
    it.each([
        ['2026-03-01', 'today'],
        ['2026-03-02', 'tomorrow'],
        ['2026-02-28', 'yesterday'],
        ['2026-03-04', 'in 3 days, Wednesday'],
        ['2026-03-14', 'in 13 days, Saturday'],
        ['2026-03-15', '15 March 2026'],
        ['2026-02-25', '4 days ago, Wednesday'],
        ['2026-02-15', '15 February 2026'],
        ['2027-03-01', '1 March 2027'],
    ])('%s is %s', (date, words) => expect(sayDate(date, today)).toBe(words));

    it('counts over a leap day and over the change to summer time', () => {
        expect(daysFromToday('2028-03-01', '2028-02-28')).toBe(2);
        expect(daysFromToday('2026-03-30', '2026-03-28')).toBe(2);
    });

    it('takes the day of a moment too', () => expect(shortDate('2026-03-01T23:59:59Z')).toBe('1 Mar'));
});

describe('today is the date where the studio is', () => {
    afterEach(() => {
        keepTimeIn(undefined);
        vi.useRealTimers();
    });

    it.each([
        ['Pacific/Auckland', '2026-11-26T19:30:00Z', '2026-11-27'],
        ['America/Los_Angeles', '2026-11-27T05:00:00Z', '2026-11-26'],
        ['Asia/Kathmandu', '2026-11-26T18:14:59Z', '2026-11-26'],
        ['Asia/Kathmandu', '2026-11-26T18:15:00Z', '2026-11-27'],
        ['Europe/Berlin', '2026-03-29T21:59:59Z', '2026-03-29'],
        ['Europe/Berlin', '2026-10-25T23:00:00Z', '2026-10-26'],
        ['UTC', '2026-01-01T00:00:00Z', '2026-01-01'],
    ])('%s at %s', (zone, moment, date) => {
        vi.useFakeTimers();
        vi.setSystemTime(new Date(moment));
        keepTimeIn(zone);
        expect(todayDate()).toBe(date);
    });
});

describe('how long it keeps', () => {
    it.each([
        [0, 'cannot tell'],
        [null, 'cannot tell'],
        [undefined, 'cannot tell'],
        [0.3, '9 days'],
        [1.4, '43 days'],
        [1.5, '1.5 months'],
        [5.94, '5.9 months'],
        [6.4, '6 months'],
        [24, '2 years'],
        [30, '2.5 years'],
    ])('%d months is %s', (months, words) => expect(sayMonths(months)).toBe(words));

    it.each([
        [1, 'jar', '1 jar'],
        [2, 'jar', '2 jars'],
        [0, 'jar', '0 jars'],
        [1.2, 'hour', '1 hour'],
    ])('%d of %s is %s', (value, one, words) => expect(counted(value, one)).toBe(words));

    it.each([
        ['Amla powder', 'powder', 'Amla powder'],
        ['Amla', 'powder', 'Amla powder'],
        ['Nettle', '', 'Nettle'],
        ['Powdered sugar', 'powder', 'Powdered sugar powder'],
    ])('%s as %s is %s', (name, form, words) => expect(withForm(name, form)).toBe(words));
});

describe('the day of a jar', () => {
    it('is said, or said not to be known', () => {
        expect(sayBestBefore(null)).toBe('best before: cannot tell');
        expect(sayBestBefore('2031-03-09')).toBe('best before 9 March 2031');
    });
});

describe('a jar in words and bands', () => {
    const assessment = anAssessment({
        lines: [
            aJudgedLine('a', 'Rosemary oil', 1, { phase: 'cool-down', turn: 4 }),
            aJudgedLine('b', 'Jojoba', 60, { phase: 'warm', turn: 3 }),
            aJudgedLine('c', 'Shea butter', 39, { phase: 'melt', turn: 1 }),
            aJudgedLine('d', 'Not placed', 0, { phase: 'whip-in', turn: 5 }),
        ],
    });

    it('has what is melted first at its foot', () => {
        expect(bandsOf(assessment).map((b) => b.name)).toEqual(['Shea butter', 'Jojoba', 'Rosemary oil', 'Not placed']);
        expect(assessment.lines[0]?.name).toBe('Rosemary oil');
    });

    it('is read out from the foot up, without what is not in it', () =>
        expect(sayJar(bandsOf(assessment))).toBe('A jar cut open: Shea butter 39 %, Jojoba 60 %, Rosemary oil 1 %.'));

    it('is empty when nothing is in it', () => expect(sayJar([])).toBe('A jar cut open: empty.'));

    it('of a kept row has only matter and share', () =>
        expect(smallBands([{ matter: 'wax', percent: 100 }])).toEqual([{ id: '0', name: '', matter: 'wax', percent: 100 }]));
});

describe('dates as the studio writes them', () => {
    afterEach(() => writeDates('day-first'));

    it('stand with the day before the month, after it, or as figures', () => {
        expect([longDate('2026-11-27'), sayDay('2026-11-27')]).toEqual(['27 November 2026', 'Friday 27 November']);
        writeDates('month-first');
        expect([longDate('2026-11-27'), shortDate('2026-11-27')]).toEqual(['November 27, 2026', 'Nov 27']);
        writeDates('numbers');
        expect([longDate('2026-11-27'), shortDate('2026-11-27'), sayDay('2026-11-27')]).toEqual([
            '2026-11-27',
            '11-27',
            'Friday, 2026-11-27',
        ]);
    });

    it('are short in a row, and near ones are said', () => {
        expect(sayUntil('2026-12-17', '2026-11-27')).toBe('17 Dec 2026');
        expect(sayUntil('2026-11-29', '2026-11-27')).toBe('in 2 days, Sunday');
        expect(sayUntil('2026-11-26', '2026-11-27')).toBe('yesterday');
    });
});
