import { FILMS, LIQUIDS, SOLIDS, SURFACES } from "@/core/book/words";
import type { DrumName } from "@/core/practice/yard/drums";
import { SIGN_NAMES } from "@/words/said";
import { DrumDrawing } from "./DrumDrawing";
import type { DrumPicture } from "./drumLook";
import { PracticeHead } from "./PracticeHead";

const CALM = { isBulging: false, isBurst: false, isPumpSilent: false } as const;
const plain = (name: DrumName): DrumPicture => ({
  name,
  isOpen: true,
  surface: null,
  film: null,
  liquid: null,
  solids: null,
  outside: CALM,
});

interface Plate {
  readonly title: string;
  readonly signs: readonly { readonly word: string; readonly picture: DrumPicture }[];
}
const PLATES: readonly Plate[] = [
  {
    title: SIGN_NAMES.surface,
    signs: SURFACES.map((word) => ({ word, picture: { ...plain("leaf-mould brew"), surface: word } })),
  },
  {
    title: SIGN_NAMES.film,
    signs: FILMS.map((word) => ({
      word: word === "none" ? "no film" : word,
      picture: { ...plain("extract"), film: word },
    })),
  },
  {
    title: SIGN_NAMES.solids,
    signs: SOLIDS.map((word) => ({ word, picture: { ...plain("leaf soak"), solids: word, liquid: "clear" } })),
  },
  {
    title: SIGN_NAMES.liquid,
    signs: LIQUIDS.map((word) => ({ word, picture: { ...plain("leaf soak"), liquid: word } })),
  },
  {
    title: "From outside",
    signs: [
      { word: "lid on", picture: { ...plain("extract"), isOpen: false } },
      {
        word: "swollen: gas under a tight lid",
        picture: { ...plain("extract"), isOpen: false, outside: { ...CALM, isBulging: true } },
      },
      { word: "burst", picture: { ...plain("extract"), isOpen: false, outside: { ...CALM, isBurst: true } } },
      { word: "pump silent", picture: { ...plain("tea"), isOpen: false, outside: { ...CALM, isPumpSilent: true } } },
    ],
  },
];

/** Every sign that can be met, drawn: one drawing each. */
export const SignsScreen = () => (
  <div className="max-w-5xl px-4 py-5 md:px-8">
    <PracticeHead title="Signs in pictures" />
    {PLATES.map(({ title, signs }) => (
      <section key={title} className="mt-4">
        <h2 className="text-[1.2rem]">{title}</h2>
        <ul className="mt-2 grid grid-cols-2 gap-3 sm:grid-cols-4 lg:grid-cols-6">
          {signs.map(({ word, picture }) => (
            <li key={word} className="border border-line bg-chalk p-2 text-center">
              <DrumDrawing picture={picture} className="mx-auto w-full max-w-36" />
              <p className="font-semibold leading-tight">{word}</p>
            </li>
          ))}
        </ul>
      </section>
    ))}
  </div>
);
