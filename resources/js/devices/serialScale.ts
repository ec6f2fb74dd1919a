import { Listeners, type Scale, type ScaleReading } from './devices';
import { lineByLine, readLine } from './scaleLines';

/** As much of the browser's serial port as is used: not every browser has one. */
interface Port {
    open(how: { baudRate: number }): Promise<void>;
    close(): Promise<void>;
    readonly readable: ReadableStream<BufferSource> | null;
    readonly writable: WritableStream<Uint8Array> | null;
}
interface Ports {
    requestPort(): Promise<Port>;
}
declare global {
    interface Navigator {
        readonly serial?: Ports;
    }
}

export const hasSerial = (): boolean => navigator.serial !== undefined;

/** Most scales speak at this pace; those that do not can be set to it. */
const BAUD = 9600;
const TARE = new TextEncoder().encode('T\r\n');

/** A scale on the serial port that the maker has chosen. Its lines: devices/scaleLines.ts. */
export async function openSerialScale(): Promise<Scale> {
    if (!navigator.serial) throw new Error('This browser has no serial port.');
    const port = await navigator.serial.requestPort();
    await port.open({ baudRate: BAUD });
    const listeners = new Listeners<ScaleReading>();
    const reader = port.readable?.pipeThrough(new TextDecoderStream()).getReader();
    const take = lineByLine((line) => {
        const reading = readLine(line);
        if (reading) listeners.tell(reading);
    });
    void (async () => {
        try {
            for (let piece = await reader?.read(); piece && !piece.done; piece = await reader?.read()) take(piece.value);
        } catch {
            // It was unplugged: its last reading stands, and typing works.
        }
    })();
    return {
        name: 'Scale on the serial port',
        listen: (to) => listeners.add(to),
        tare: () => {
            const writer = port.writable?.getWriter();
            void writer?.write(TARE).finally(() => writer.releaseLock());
        },
        close: async () => {
            await reader?.cancel();
            await port.close();
        },
    };
}
