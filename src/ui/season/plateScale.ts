/** Where the drawing stands: heights in its own units. */
export const [TOP, HEIGHT, FOOT] = [26, 470, 92] as const;
export const GROUND = TOP + HEIGHT;

export interface Span {
  readonly from: number;
  readonly days: number;
}
/** Where a day stands: the first at the ground, the last at the top. */
export const yOf = ({ from, days }: Span, day: number): number => GROUND - ((day - from) / days) * HEIGHT;
