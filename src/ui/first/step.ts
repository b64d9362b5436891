import { parseNumber } from "@/formats/numbers";

/** A step that a hand would take at such an amount: a twentieth, rounded to 1, 2 or 5. @example stepOf(150); // 5 */
export function stepOf(amount: number): number {
  const rough = Math.max(amount, 0.001) / 20;
  const ten = 10 ** Math.floor(Math.log10(rough));
  const lead = rough / ten;
  return (lead < 1.5 ? 1 : lead < 3.5 ? 2 : lead < 7.5 ? 5 : 10) * ten;
}

/** What is typed, one step up or down in its own unit; null where no number stands in front. @example stepped("13 fl oz", 1); // "13.5 fl oz" */
export function stepped(typed: string, by: -1 | 1): string | null {
  const [, figure = "", rest = ""] = /^\s*([\d.,]+)(.*)$/.exec(typed) ?? [];
  const value = parseNumber(figure);
  if (value === null || !(value > 0)) return null;
  const step = stepOf(value);
  const next = Math.max(step, (Math.round(value / step) + by) * step);
  return `${Number(next.toPrecision(6))}${rest}`;
}
