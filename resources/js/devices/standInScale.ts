import { Listeners, type Scale, type ScaleReading } from './devices';

/** A number from 0 to 1: another one each time, the same row for the same seed. */
export function chance(seed: number): () => number {
    let state = seed >>> 0;
    return () => {
        state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
        return state / 4294967296;
    };
}

/** Seconds in which the display comes as near as 1/e to what lies on the pan. */
const SETTLING = 0.35;
/** It has come to rest when it has shown the same for so long, s. */
const REST = 0.6;
/** Of one step: how far the display trembles, and how far it creeps in a minute. */
const TREMBLES = 0.35;
const CREEPS = 0.5;
/** Grams in a second out of a bottle that is poured from. */
const POURS = 12;
const TICK = 100;

/**
 * Stands in for a kitchen scale, and behaves like one: it shows steps, trembles, creeps, needs a moment to come to rest, and
 * is overloaded. It is acted on as a hand would: poured, spooned, taken from, lifted.
 */
export class StandInScale implements Scale {
    readonly name = 'Stand-in scale';
    private readonly listeners = new Listeners<ScaleReading>();
    private onPan = 0;
    private display = 0;
    private zero = 0;
    private crept = 0;
    private still = 0;
    private last = 0;
    private pouring = 0;
    private lifted = false;
    private clock = 0;

    /**
     * @param step grams that it shows steps of
     * @param most grams on the pan, the tared vessel with them
     * @param speed how many times faster than a real one
     */
    constructor(
        private readonly step: number,
        private readonly most = 5000,
        private readonly speed = 1,
        private readonly random: () => number = chance(7),
    ) {}

    listen(to: (reading: ScaleReading) => void): () => void {
        const stop = this.listeners.add(to);
        if (this.clock === 0) this.clock = window.setInterval(() => this.pass((TICK / 1000) * this.speed), TICK);
        return stop;
    }

    tare(): void {
        this.zero = this.lifted ? 0 : this.onPan;
        this.crept = 0;
        this.display = 0;
        this.still = 0;
    }

    close(): Promise<void> {
        window.clearInterval(this.clock);
        this.clock = 0;
        return Promise.resolve();
    }

    /** Seconds go by. */
    pass(seconds: number): void {
        this.onPan = Math.max(0, this.onPan + this.pouring * seconds);
        const lies = (this.lifted ? 0 : this.onPan) - this.zero;
        this.display += (lies - this.display) * (1 - Math.exp(-seconds / SETTLING));
        this.crept += (this.step * CREEPS * seconds) / 60;
        this.tell(seconds);
    }

    private tell(seconds: number): void {
        const trembling = (this.random() - 0.5) * 2 * TREMBLES * this.step;
        const moving = Math.abs((this.lifted ? 0 : this.onPan) - this.zero - this.display) > this.step / 2;
        const shows = Math.round((this.display + this.crept + trembling) / this.step) * this.step;
        this.still = !moving && Math.abs(shows - this.last) <= this.step * 1.01 ? this.still + seconds : 0;
        this.last = shows;
        this.listeners.tell({
            grams: Number(shows.toFixed(3)),
            stable: this.still >= REST,
            overload: !this.lifted && this.onPan > this.most,
        });
    }

    /** Holds the bottle over the bowl until it is set down: a steady stream. */
    pour(gramsPerSecond = POURS): void {
        this.pouring = gramsPerSecond;
    }

    stop(): void {
        this.pouring = 0;
    }

    /** Puts so much in at once, or takes it out where it is below nothing. */
    spoon(grams: number): void {
        this.onPan = Math.max(0, this.onPan + grams);
    }

    /** Takes the bowl off the pan, or sets it down again. */
    lift(up: boolean): void {
        this.lifted = up;
    }
}
