import { describe, expect, it } from 'vitest';
import type { ScaleReading } from '../../resources/js/devices/devices';
import { lineByLine, readLine } from '../../resources/js/devices/scaleLines';
import { StandInProbe } from '../../resources/js/devices/standInProbe';
import { chance, StandInScale } from '../../resources/js/devices/standInScale';

describe('the stand-in scale', () => {
    function aScale(step = 1, most = 2000) {
        const scale = new StandInScale(step, most, 1, chance(3));
        const seen: ScaleReading[] = [];
        const deaf = scale.listen((r) => seen.push(r));
        const pass = (seconds: number): ScaleReading => {
            for (let t = 0; t < seconds * 10; t++) scale.pass(0.1);
            const last = seen.at(-1);
            if (!last) throw new Error('nothing was shown');
            return last;
        };
        return { scale, seen, pass, deaf };
    }

    it('shows its steps, moves while it is poured into, and comes to rest on what lies there', () => {
        const { scale, pass, seen } = aScale(1);
        scale.pour(10);
        expect(pass(3).stable).toBe(false);
        scale.stop();
        const rest = pass(4);
        expect(rest.stable).toBe(true);
        expect(Math.abs(rest.grams - 30)).toBeLessThanOrEqual(1);
        expect(seen.every((r) => Number.isInteger(r.grams))).toBe(true);
    });

    it('needs a moment to settle: at once it does not show all of a spoonful', () => {
        const { scale, pass } = aScale(0.1);
        pass(1);
        scale.spoon(50);
        scale.pass(0.1);
        expect(pass(0.1).grams).toBeLessThan(40);
        expect(Math.abs(pass(4).grams - 50)).toBeLessThan(0.4);
    });

    it('is tared with the bowl on it, shows less than nothing when that is lifted, and creeps', () => {
        const { scale, pass } = aScale(0.1);
        scale.spoon(412);
        pass(4);
        scale.tare();
        expect(Math.abs(pass(1).grams)).toBeLessThan(0.3);
        scale.lift(true);
        expect(pass(4).grams).toBeLessThan(-411);
        scale.lift(false);
        pass(4);
        scale.tare();
        expect(pass(600).grams).toBeGreaterThan(0.3);
    });

    it('more than it bears is an overload, the bowl with it, and nothing is ever below nothing', () => {
        const { scale, pass } = aScale(1, 500);
        scale.spoon(450);
        scale.tare();
        scale.spoon(40);
        expect(pass(3).overload).toBe(false);
        scale.spoon(20);
        expect(pass(3).overload).toBe(true);
        scale.spoon(-9999);
        expect(pass(3).overload).toBe(false);
    });

    it('tells nobody any more who stopped listening', () => {
        const { pass, seen, deaf } = aScale();
        pass(1);
        deaf();
        const before = seen.length;
        expect(() => pass(1)).not.toThrow();
        expect(seen).toHaveLength(before);
    });
});

describe('the stand-in probe', () => {
    function aProbe(bowl: number, setsAt = 30) {
        const probe = new StandInProbe(bowl, setsAt, 0.5, 1, chance(5));
        const seen: number[] = [];
        probe.listen((c) => seen.push(c));
        const pass = (minutes: number): number => {
            for (let t = 0; t < minutes * 60; t++) probe.pass(1);
            return seen.at(-1) ?? NaN;
        };
        return { probe, seen, pass };
    }

    it('lags behind, then follows the bowl: 45 minutes in the room leave 1/e of the difference', () => {
        const { pass, seen } = aProbe(75);
        pass(1 / 60);
        expect(seen[0]).toBeLessThan(40);
        expect(Math.abs(pass(45) - (21 + 54 / Math.E))).toBeLessThan(1);
    });

    it('cools faster in cold water, and colder in the freezer', () => {
        const [air, water, freezer] = [aProbe(75), aProbe(75), aProbe(75)];
        water.probe.move('cold-water');
        freezer.probe.move('freezer');
        expect(water.pass(5)).toBeLessThan(air.pass(5) - 20);
        expect(freezer.pass(600)).toBeLessThan(-15);
        expect(air.pass(600)).toBeGreaterThan(20);
    });

    it('stays warm for a while where it sets', () => {
        const [sets, never] = [aProbe(36, 33), aProbe(36, -50)];
        expect(sets.pass(30)).toBeGreaterThan(never.pass(30) + 1);
    });

    it('is warm again when it is heated', () => {
        const { probe, pass } = aProbe(40);
        pass(20);
        probe.heat(75);
        expect(pass(1)).toBeGreaterThan(70);
    });
});

describe('lines of a scale', () => {
    it.each([
        ['ST,GS,+  123.4 g', 123.4, true],
        ['US,NT,-   12.05g', -12.05, false],
        ['S S     100.00 g', 100, true],
        ['S D     100.12 g', 100.12, false],
        ['  45,6', 45.6, true],
        ['+0.0123kg', 12.3, true],
        ['1.5 oz', 42.5243, true],
        ['GS 7.1 g ?', 7.1, false],
        ['ST,GS,    0.0  g\u0003', 0, true],
        ['N     +     1,250.4 g'.replace(',', ''), 1250.4, true],
    ])('"%s"', (line, grams, stable) => {
        expect(readLine(line)).toEqual({ grams, stable, overload: false });
    });

    it.each(['OL', 'ST,OL', '------', 'OVERLOAD', '^^^^^^'])('"%s" is an overload', (line) => {
        expect(readLine(line)?.overload).toBe(true);
    });

    it.each(['', 'hello', '12.3.4 g', 'hello 12 g', '12 bottles', 'ST,GS,+', '99999999 g', 'ÿþ'])('"%s" is no reading', (line) => {
        expect(readLine(line)).toBeNull();
    });

    it('are put together from pieces, whatever ends them', () => {
        const lines: string[] = [];
        const take = lineByLine((line) => lines.push(line));
        for (const piece of ['ST,GS,+ 1', '2.0 g\r', '\nUS,GS', ',+ 3.0 g\n\n\r ', '\n4 g\n5']) take(piece);
        expect(lines).toEqual(['ST,GS,+ 12.0 g', 'US,GS,+ 3.0 g', '4 g']);
    });

    it('a damaged stream gives no wrong reading, and never fills the memory', () => {
        const random = chance(9);
        const said: ScaleReading[] = [];
        let longest = 0;
        const take = lineByLine((line) => {
            longest = Math.max(longest, line.length);
            const reading = readLine(line);
            if (reading) said.push(reading);
        });
        const whole = 'ST,GS,+  250.0 g\r\n';
        for (let n = 0; n < 3000; n++) {
            const at = Math.floor(random() * whole.length);
            const broken =
                random() < 0.5
                    ? whole.slice(0, at)
                    : whole.slice(0, at) + String.fromCharCode(Math.floor(random() * 255)) + whole.slice(at + 1);
            take(random() < 0.7 ? whole : broken);
        }
        take('x'.repeat(100_000));
        expect(said.length).toBeGreaterThan(1500);
        expect(said.every((r) => Number.isFinite(r.grams))).toBe(true);
        expect(longest).toBeLessThan(1000);
    });
});
