/** One thing of a ready blend as it is written down; no share where nobody says it. */
export interface BlendRow {
    ingredient: string;
    name: string;
    percent: string;
}
