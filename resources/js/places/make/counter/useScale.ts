import { onUnmounted, ref, shallowRef } from 'vue';
import type { Scale, ScaleReading } from '../../../devices/devices';
import { openSerialScale } from '../../../devices/serialScale';
import { StandInScale } from '../../../devices/standInScale';
import { tellProblem } from '../../../ui/notice';

/** The scale that stands at this counter: none, one on the serial port, or the stand-in. */
export function useScale(step: number, speed: number) {
    const scale = shallowRef<Scale | null>(null);
    const standIn = shallowRef<StandInScale | null>(null);
    const reading = ref<ScaleReading | null>(null);
    let deaf = (): void => undefined;

    async function use(opened: Scale): Promise<void> {
        await leave();
        scale.value = opened;
        deaf = opened.listen((now) => (reading.value = now));
    }
    async function practise(): Promise<void> {
        const made = new StandInScale(step, 5000, speed);
        await use(made);
        standIn.value = made;
    }
    async function connect(): Promise<void> {
        try {
            await use(await openSerialScale());
        } catch (e) {
            // Whoever closes the browser's list of ports has chosen none.
            if (!(e instanceof DOMException && e.name === 'NotFoundError')) tellProblem(e);
        }
    }
    async function leave(): Promise<void> {
        deaf();
        const before = scale.value;
        scale.value = standIn.value = reading.value = null;
        await before?.close();
    }
    onUnmounted(() => void leave());
    return { scale, standIn, reading, practise, connect, leave };
}
