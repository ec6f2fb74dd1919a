/** What a scale shows at a moment. */
export interface ScaleReading {
    /** As it stands on its display; what it shows while it is overloaded means nothing. */
    grams: number;
    /** Whether it has come to rest. */
    stable: boolean;
    overload: boolean;
}

/** The border to a scale: a real one or its stand-in. */
export interface Scale {
    readonly name: string;
    /** Tells every new reading until it is told to stop. */
    listen(to: (reading: ScaleReading) => void): () => void;
    tare(): void;
    close(): Promise<void>;
}

/** The border to a thermometer's probe. */
export interface Probe {
    readonly name: string;
    /** °C, at every new reading. */
    listen(to: (celsius: number) => void): () => void;
    close(): Promise<void>;
}

/** Tells the same thing to whoever listens. */
export class Listeners<T> {
    private readonly all = new Set<(what: T) => void>();

    add(to: (what: T) => void): () => void {
        this.all.add(to);
        return () => void this.all.delete(to);
    }

    tell(what: T): void {
        for (const to of this.all) to(what);
    }
}
