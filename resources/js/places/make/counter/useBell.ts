import { onUnmounted, watch, type Ref } from 'vue';

const PITCH = 880;
const EVERY = 1400;

/** Rings as long as something is due. Sound is an offer: where the browser plays none, the screen says it too. */
export function useBell(rings: Ref<boolean>): void {
    let again = 0;
    let audio: AudioContext | null = null;
    function beep(): void {
        try {
            audio ??= new AudioContext();
            void audio.resume();
            const tone = audio.createOscillator();
            const loud = audio.createGain();
            tone.frequency.value = PITCH;
            loud.gain.setValueAtTime(0.25, audio.currentTime);
            loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 0.6);
            tone.connect(loud).connect(audio.destination);
            tone.start();
            tone.stop(audio.currentTime + 0.6);
        } catch {
            // No sound here.
        }
    }
    const quiet = (): void => {
        window.clearInterval(again);
        again = 0;
    };
    watch(
        rings,
        (now) => {
            quiet();
            if (!now) return;
            beep();
            again = window.setInterval(beep, EVERY);
        },
        { immediate: true },
    );
    onUnmounted(() => {
        quiet();
        void audio?.close();
    });
}
