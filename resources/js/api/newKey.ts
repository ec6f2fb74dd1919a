/** A key that nothing else has; browsers make none on an insecure page, so there is another way. */
export function newKey(): string {
    return crypto.randomUUID?.() ?? `${Date.now()}-${Math.random().toString(36).slice(2)}`;
}
