/** Position among ascending hours: the index at or before an hour and the share of the way to the next. Held at either end. */
export function locate(hours: Float64Array, hour: number): { readonly index: number; readonly share: number } {
  const last = hours.length - 1;
  if (!(hour > hours[0]!)) return { index: 0, share: 0 };
  if (hour >= hours[last]!) return { index: last, share: 0 };
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (hours[middle]! <= hour) low = middle;
    else high = middle;
  }
  return { index: low, share: (hour - hours[low]!) / (hours[high]! - hours[low]!) };
}

/** Value at an hour, even between grid hours, held past either end. */
export function valueAt(hours: Float64Array, values: Float64Array, hour: number): number {
  const { index, share } = locate(hours, hour);
  const here = values[index]!;
  return share === 0 ? here : here + (values[index + 1]! - here) * share;
}

/** First hour at which values that never fall reach a level; Infinity if they don't. */
export function hourOfValue(hours: Float64Array, values: Float64Array, level: number): number {
  const last = values.length - 1;
  if (level <= values[0]!) return hours[0]!;
  if (!(level <= values[last]!)) return Infinity;
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (values[middle]! < level) low = middle;
    else high = middle;
  }
  const rise = values[high]! - values[low]!;
  return rise > 0 ? hours[low]! + ((hours[high]! - hours[low]!) * (level - values[low]!)) / rise : hours[high]!;
}
