/** Marks that people set between thousands where no decimal could stand: spaces of any width, and the raised comma. */
const SPACES = /[ \u00a0\u2007\u2009\u202f]/g;
const SIGN = /^[+-]/;
const FRACTION = /^(?:(\d+)[ \u00a0\u202f]+)?(\d+)[/⁄](\d+)$/;
const HALVES: Readonly<Record<string, string>> = {
  "½": "1/2",
  "¼": "1/4",
  "¾": "3/4",
  "⅓": "1/3",
  "⅔": "2/3",
  "⅛": "1/8",
};

const grouped = (text: string, mark: string) =>
  new RegExp(`^[1-9]\\d{0,2}(?:\\${mark}\\d{3})+$`).test(text) ? Number(text.split(mark).join("")) : null;

/** A number with one kind of mark in it, once: a decimal, or thousands where three digits follow one to three. */
function oneMark(text: string, mark: "," | "."): number[] {
  const decimal = Number(text.replace(mark, "."));
  const thousands = grouped(text, mark);
  if (thousands === null) return [decimal];
  // Ruchka itself writes 1.234 with a point, but never a nought at the end of three decimals: there 1.500 may be either.
  return mark === "." && !text.endsWith("0") ? [decimal] : [decimal, thousands];
}

function unsigned(text: string): number[] {
  const fraction = FRACTION.exec(text);
  if (fraction) {
    const [, whole = "0", top, bottom] = fraction;
    return Number(bottom) === 0 ? [] : [Number(whole) + Number(top) / Number(bottom)];
  }
  if (/['’]/.test(text) || SPACES.test(text)) {
    SPACES.lastIndex = 0;
    const [whole = "", decimals] = text.split(/[.,]/);
    const marks = whole.replace(SPACES, "'").replace(/’/g, "'");
    const value = grouped(marks, "'");
    if (value === null || text.split(/[.,]/).length > 2 || (decimals !== undefined && !/^\d+$/.test(decimals)))
      return [];
    return [decimals === undefined ? value : Number(`${value}.${decimals}`)];
  }
  if (/^\d+$/.test(text)) return [Number(text)];
  if (/^(?:\d+[.,]\d*|[.,]\d+)$/.test(text)) return oneMark(text, text.includes(",") ? "," : ".");
  const last = Math.max(text.lastIndexOf(","), text.lastIndexOf("."));
  if (last < 0 || !/^[\d.,]+$/.test(text)) return [];
  const mark = text[last] === "," ? "," : ".";
  const other = mark === "," ? "." : ",";
  if (!text.includes(other)) {
    const thousands = grouped(text, mark);
    return thousands === null ? [] : [thousands];
  }
  const whole = grouped(text.slice(0, last), other);
  const decimals = text.slice(last + 1);
  return whole === null || !/^\d+$/.test(decimals) ? [] : [Number(`${whole}.${decimals}`)];
}

/**
 * The numbers that a typed one may be: with a decimal point or comma, thousands parted by spaces, commas or points where they can be, or a
 * fraction ("1 1/2", "½"). None for what is no number; two where its mark may part thousands or decimals, which is then asked, never guessed.
 * @example readNumber("1,500"); // [1.5, 1500]
 */
export function readNumber(typed: string): readonly number[] {
  const text = typed.replace(/(\d)?\s*([½¼¾⅓⅔⅛])/g, (_all, before: string | undefined, sign: string) =>
    before === undefined ? HALVES[sign]! : `${before} ${HALVES[sign]!}`,
  );
  const trimmed = text.trim();
  const negative = trimmed.startsWith("-");
  const values = unsigned(trimmed.replace(SIGN, "").trim());
  return negative ? values.map((value) => -value) : values;
}

/** How a text that starts with a number is parted: the number's own text, and the rest. Null where none stands first. */
export function splitNumber(text: string): { readonly number: string; readonly rest: string } | null {
  const tidy = text.trim();
  const match =
    /^([+-]?\d+(?:[ \u00a0\u202f]+\d+)?[/⁄]\d+|[+-]?\d*\s*[½¼¾⅓⅔⅛]|[+-]?\d{1,3}(?:[ \u00a0\u2007\u2009\u202f'’]\d{3})+(?!\d)(?:[.,]\d+)?|[+-]?(?:\d[\d.,]*|[.,]\d[\d.,]*))\s*(.*)$/su.exec(
      tidy,
    );
  return match ? { number: match[1]!.replace(/[.,]$/, ""), rest: match[2]!.trim() } : null;
}
