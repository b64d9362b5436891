/** One thing, one name: words that the glossary put away do not come back onto a screen, a paper or into a message. */
import { readdirSync, readFileSync } from "node:fs";
import path from "node:path";
import ts from "typescript";

const ROOT = path.join(process.cwd(), "src");
/** Where words that people read stand. */
const FOLDERS = ["ui", "words/en", "core/book", "core/mixing", "core/equipment", "services", "app"];

/** Put away, with the word that stands in its place. */
const PUT_AWAY: readonly (readonly [RegExp, string])[] = [
  [/\bhands[’'] time\b/i, "work time"],
  [/\ball the same\b/i, "anyway"],
  [/\bthr(ow|own|ew) out\b/i, "thrown away"],
  [/\bheld back\b/i, "on hold"],
  [/\bpast its day\b/i, "expired"],
  [/\bfound off\b/i, "smells bad"],
  [/\b(smelt|spilt|learnt)\b/i, "smelled, spilled, learned"],
  [/\bbare ground\b/i, "bare soil"],
  [/\bthe heap\b/i, "hot compost"],
  [/\bfit hours\b/i, "good time to apply"],
  [/\bwhence|whoever is there|nobody knows\b/i, "unknown, anyone"],
  [/\bleaf through\b/i, "browse all"],
  [/\bfistful\b/i, "handful"],
  [/\bstrike out\b/i, "cross out"],
  [/\bthe book (has|knows|gives|doesn|says)\b/i, "usual, Ruchka"],
  [/\bin the books\b|\bby the books\b/i, "recorded"],
  [/\bto the brim\b/i, "full volume"],
  [/\bmid-depth\b/i, "halfway down"],
  [/\bprogrammes?\b/i, "schedule"],
  [/\bgiv(e|en) up (this|the|it)\b/i, "cancel"],
  [/\bsooner than reckoned\b/i, "earlier than expected"],
  [/\bnothing goes in\b/i, "add at least one ingredient"],
  [/\bthe cautious one\b/i, "cautious"],
  [/\bToday’s round\b/i, "today’s jobs"],
  [/\bmixing sheet\b/i, "fill sheet"],
  [/\bThat day has not been\b/i, "This date is in the future"],
  [/\blocal code\b/i, "local law"],
  [/\bnought\b|\blest\b|\bshall\b/i, "0, so that, will"],
];

/** Growers' words for what a bed of worms or leaves is, and names of methods. */
const ALLOWED: readonly RegExp[] = [/compost bin or heap/i, /onto the heap/i];

/** Words between tags, in quotes and in templates; comments are for those who work on it. */
function readable(file: string): string[] {
  const text = readFileSync(file, "utf8");
  const source = ts.createSourceFile(
    file,
    text,
    ts.ScriptTarget.Latest,
    true,
    file.endsWith("x") ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const found: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node) || ts.isLiteralTypeNode(node)) return;
    if (ts.isJsxText(node)) found.push(node.text.replace(/\s+/g, " ").trim());
    // A code has no space in it.
    else if ((ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) && node.text.includes(" "))
      found.push(node.text);
    else if (ts.isTemplateHead(node) || ts.isTemplateMiddle(node) || ts.isTemplateTail(node)) found.push(node.text);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found.filter(
    (words) => /[a-z]{2} /i.test(words) && !/^(select|insert|update|delete|with) /i.test(words.trim()),
  );
}

const filesIn = (folder: string): string[] =>
  readdirSync(path.join(ROOT, folder), { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name))
    .map((entry) => path.join(entry.parentPath, entry.name));

describe("the words of all screens, papers and messages", () => {
  const all = FOLDERS.flatMap(filesIn).flatMap((file) =>
    readable(file).map((words) => ({ file: path.relative(ROOT, file), words })),
  );

  it("are found where they stand", () => expect(all.length).toBeGreaterThan(2500));
  it.each(PUT_AWAY.map(([pattern, instead]) => [String(pattern), instead, pattern] as const))(
    "have no %s any more: it is %s",
    (_name, _instead, pattern) => {
      const back = all.filter(({ words }) => pattern.test(words) && !ALLOWED.some((allowed) => allowed.test(words)));
      expect(back.map(({ file, words }) => `${file}: ${words}`)).toEqual([]);
    },
  );
});
