/** A greatest value and where it stands. */
export interface Top {
  readonly index: number;
  readonly hour: number;
  readonly height: number;
}

/** Where the values are greatest: vertex of the parabola through the three nodes around it. */
export function topOf(hours: Float64Array, values: Float64Array, length: number): Top {
  let index = 0;
  for (let at = 1; at < length; at += 1) if (values[at]! > values[index]!) index = at;
  const plain = { index, hour: hours[index]!, height: values[index]! };
  if (index === 0 || index >= length - 1) return plain;
  const [t0, t1, t2] = [hours[index - 1]!, hours[index]!, hours[index + 1]!];
  const [y0, y1, y2] = [values[index - 1]!, values[index]!, values[index + 1]!];
  const rise = (y1 - y0) / (t1 - t0);
  const bend = ((y2 - y1) / (t2 - t1) - rise) / (t2 - t0);
  if (!(bend < 0)) return plain;
  const hour = (t0 + t1) / 2 - rise / (2 * bend);
  return { index, hour, height: y0 + rise * (hour - t0) + bend * (hour - t0) * (hour - t1) };
}

/** Last time before the top that the values rise through a level. */
export const lastRise = (hours: Float64Array, values: Float64Array, top: number, level: number): number => {
  for (let at = top; at > 0; at -= 1) {
    const [low, high] = [values[at - 1]!, values[at]!];
    if (low < level && high >= level)
      return hours[at - 1]! + ((hours[at]! - hours[at - 1]!) * (level - low)) / (high - low);
  }
  return values[0]! >= level ? hours[0]! : hours[top]!;
};
/** First time after the top that the values fall through a level; Infinity if they don't. */
export const firstFall = (
  hours: Float64Array,
  values: Float64Array,
  top: number,
  length: number,
  level: number,
): number => {
  for (let at = top + 1; at < length; at += 1) {
    const [high, low] = [values[at - 1]!, values[at]!];
    if (low < level)
      return high <= level
        ? hours[at - 1]!
        : hours[at - 1]! + ((hours[at]! - hours[at - 1]!) * (high - level)) / (high - low);
  }
  return Infinity;
};
