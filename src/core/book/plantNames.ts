/** Plant names as people type them, made comparable: plural or not, hyphened, with a part of the plant behind. */

const IRREGULAR: Readonly<Record<string, string>> = {
  leaves: "leaf",
  ivies: "ivy",
  lilies: "lily",
  berries: "berry",
  cherries: "cherry",
};

function singular(word: string): string {
  if (IRREGULAR[word]) return IRREGULAR[word];
  if (word.length > 4 && word.endsWith("ies")) return `${word.slice(0, -3)}y`;
  if (word.length > 4 && /(?:ss|x|ch|sh|o)es$/.test(word)) return word.slice(0, -2);
  if (word.length > 3 && word.endsWith("s") && !/(?:ss|us|is)$/.test(word)) return word.slice(0, -1);
  return word;
}

const wordsAsTyped = (text: string): string[] =>
  text
    .toLowerCase()
    .normalize("NFD")
    .replace(/[\u0300-\u036f]|['’]s?\b/g, "")
    .split(/[^a-z]+/)
    .filter(Boolean);

/** The words of a text, in lower case, without marks, each in the singular. */
export const plantWords = (text: string): string[] => wordsAsTyped(text).map(singular);

/** A name, comparable. @example plantKey("Lilies-of-the-Valley"); // "lily of the valley" */
export const plantKey = (text: string): string => plantWords(text).join(" ");

/** Parts of a plant that may stand behind its name without making it another plant. */
const PARTS = new Set(
  "leaf tip top shoot stem stalk flower blossom root vine green needle twig branch bark seedling plant weed hay cutting trimming clipping sucker thinning fresh young wild dried chopped shredded peel skin".split(
    " ",
  ),
);

/** A name without the words for parts of a plant; the name itself where nothing else is left. */
export function bareName(text: string): string {
  const words = plantWords(text).filter((word) => word !== "of" || plantKey(text).includes("of the"));
  const rest = words.filter((word) => !PARTS.has(word));
  return (rest.length > 0 ? rest : words).join(" ");
}

/** The plants that a text names, one by one. @example plantsIn("comfrey + yew and dock"); // ["comfrey", "yew", "dock"] */
export const plantsIn = (text: string): string[] =>
  text
    .split(/\s*(?:[,;+&/|\n]|\band\b|\bwith\b|\bor\b|\bplus\b)\s*/i)
    .map((part) => part.trim())
    .filter(Boolean);

/** One letter more, less, other, or two turned round: Damerau 1964, Commun. ACM 7:171. */
function oneSlipApart(one: string, other: string): boolean {
  if (one === other) return true;
  if (Math.abs(one.length - other.length) > 1) return false;
  let at = 0;
  while (at < one.length && one[at] === other[at]) at += 1;
  const [restOne, restOther] = [one.slice(at), other.slice(at)];
  return (
    restOne.slice(1) === restOther ||
    restOne === restOther.slice(1) ||
    restOne.slice(1) === restOther.slice(1) ||
    (restOne[0] === restOther[1] && restOne[1] === restOther[0] && restOne.slice(2) === restOther.slice(2))
  );
}

/** Shorter than this, a slip of a letter makes another word too easily. */
const SLIPS_FROM = 6;

/** A word is known as typed or in the singular, since a slip may have made an s of its end. */
const sameWord = (typed: string, known: string): boolean =>
  [typed, singular(typed)].some((word) =>
    [known, singular(known)].some(
      (name) =>
        word === name || (name.length >= SLIPS_FROM && word.length >= SLIPS_FROM - 1 && oneSlipApart(word, name)),
    ),
  );

/** Whether a text holds a name anywhere, as typed or with one slip in a longer word. */
export function namesAnywhere(text: string, name: string): boolean {
  const words = wordsAsTyped(text);
  const wanted = wordsAsTyped(name);
  return words.some((_word, start) =>
    wanted.every((part, index) => {
      const word = words[start + index];
      return word !== undefined && sameWord(word, part);
    }),
  );
}
