/** What this device says of where it is: where a studio begins. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** The country of its language, "" where it names none. */
export function countryHere(): string {
    for (const language of navigator.languages) {
        const region = /^[a-z]{2,3}(?:-[A-Z][a-z]{3})?-([A-Z]{2})\b/.exec(language)?.[1];
        if (region) return region;
    }
    return '';
}
