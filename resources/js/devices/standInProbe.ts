import { Listeners, type Probe } from './devices';
import { chance } from './standInScale';

/** Where it stands, °C, and how fast it cools there: minutes in which the difference falls to 1/e. */
export const PLACES = {
    air: { celsius: 21, tau: 45 },
    'cold-water': { celsius: 14, tau: 5 },
    fridge: { celsius: 4, tau: 50 },
    freezer: { celsius: -18, tau: 50 },
} as const;
export type ProbePlace = keyof typeof PLACES;

/** The tip follows what it stands in after so many seconds. */
const LAG = 4;
const TREMBLES = 0.15;
const TICK = 200;

/**
 * Stands in for a probe in a bowl that cools: it lags, trembles, shows steps, and stays warm for a while where the fat sets.
 */
export class StandInProbe implements Probe {
    readonly name = 'Stand-in probe';
    private readonly listeners = new Listeners<number>();
    private tip: number;
    private place: ProbePlace = 'air';
    private clock = 0;

    /**
     * @param bowl °C of what is in the bowl now
     * @param setsAt °C around which it sets, and stays warm meanwhile
     * @param step °C that it shows steps of
     * @param speed how many times faster than a real one
     */
    constructor(
        private bowl: number,
        private readonly setsAt: number,
        private readonly step = 0.5,
        private readonly speed = 1,
        private readonly random: () => number = chance(11),
    ) {
        this.tip = 21;
    }

    listen(to: (celsius: number) => void): () => void {
        const stop = this.listeners.add(to);
        if (this.clock === 0) this.clock = window.setInterval(() => this.pass((TICK / 1000) * this.speed), TICK);
        return stop;
    }

    close(): Promise<void> {
        window.clearInterval(this.clock);
        this.clock = 0;
        return Promise.resolve();
    }

    /** Seconds go by. */
    pass(seconds: number): void {
        const { celsius, tau } = PLACES[this.place];
        // While it sets it gives off heat, and cools at a quarter of the pace.
        const slower = this.bowl > celsius && Math.abs(this.bowl - this.setsAt) < 2 ? 4 : 1;
        this.bowl = celsius + (this.bowl - celsius) * Math.exp(-seconds / (tau * 60 * slower));
        this.tip += (this.bowl - this.tip) * (1 - Math.exp(-seconds / LAG));
        const trembling = (this.random() - 0.5) * 2 * TREMBLES;
        this.listeners.tell(Number((Math.round((this.tip + trembling) / this.step) * this.step).toFixed(2)));
    }

    move(to: ProbePlace): void {
        this.place = to;
    }

    /** Back over the hot water. */
    heat(to: number): void {
        this.bowl = to;
    }
}
