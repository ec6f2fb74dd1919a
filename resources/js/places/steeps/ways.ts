/** The ways that are held warm for minutes instead of standing for days. */
export const HEATED: readonly string[] = ['water-bath', 'hot-jar', 'direct-heat', 'blend-heat'];
