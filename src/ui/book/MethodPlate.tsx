import { Link } from "../kit/Link";
import { clsx } from "clsx";
import type { Recipe } from "@/core/book/recipe";
import { sayLead, sayLookAlike } from "@/words/said";
import type { LeadTime } from "@/core/choose/leadTime";
import { VesselDrawing } from "../drawings/VesselDrawing";
import { BookText } from "../kit/BookText";
import { recipeContents } from "../drawings/recipeContents";

export const RISK_WORDS = { low: "little risk", some: "some risk", high: "risky" } as const;

/** A vessel as the method wants it: its fill, its lid, its air. */
export const RecipeDrawing = ({ recipe, pxPerM = 74 }: { readonly recipe: Recipe; readonly pxPerM?: number }) => (
  <VesselDrawing
    kind={recipe.family === "preparation" || recipe.family === "sugar" || recipe.family === "mineral" ? "jar" : "drum"}
    volumeL={100}
    diameterM={null}
    pxPerM={pxPerM}
    contents={recipeContents(recipe, 100 * recipe.fillShare.default)}
    label={`${recipe.name}: ${recipe.lid} vessel${recipe.aerated ? " with air" : ""}`}
  />
);

interface MethodPlateProps {
  readonly recipe: Recipe;
  readonly lead: LeadTime | undefined;
  /** Why it stands here: what it does for a goal, or what is lacking. */
  readonly because?: string | undefined;
  readonly children?: React.ReactNode;
}

/** One method as a plate of the field book: its vessel, what it is for, and the four things that tell it from its likes. */
export const MethodPlate = ({ recipe, lead, because, children }: MethodPlateProps) => (
  <li className="grid grid-cols-[64px_1fr] gap-x-4 border-b border-line py-4">
    <div className="flex items-end justify-center border-b-2 border-ink">
      <RecipeDrawing recipe={recipe} pxPerM={72} />
    </div>
    <div className="min-w-0">
      <h3 className="text-lg">
        <Link
          href={`/book/${recipe.id}`}
          className="thumb underline decoration-line decoration-2 underline-offset-4 hover:decoration-ink"
        >
          {recipe.name}
        </Link>
      </h3>
      <p>{because ?? recipe.purpose}</p>
      <p className="reading mt-0.5 text-[0.95rem]">
        {lead ? sayLead(lead) : ""} · {Math.round(recipe.work.fillMin / 5) * 5} min to fill, {recipe.work.dayMin} a day
        ·{" "}
        <span className={clsx(recipe.risk.level === "high" && "font-semibold text-rust")}>
          {recipe.risk.level === "high" ? "▲ " : ""}
          {RISK_WORDS[recipe.risk.level]}
        </span>
      </p>
      <p className="text-[0.9rem] leading-snug text-soft">
        <BookText>{sayLookAlike(recipe.lookAlike)}</BookText>
      </p>
      {children}
    </div>
  </li>
);
