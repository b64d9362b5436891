"use client";
import { Link } from "../kit/Link";
import type { Recipe } from "@/core/book/recipe";
import { useState } from "react";
import { told } from "../kit/told";
import { findMethod } from "@/core/book";
import { CLAIMS, claimsOf } from "@/core/book/claims";
import { namesOf } from "@/core/book/growersNames";
import { findIngredient } from "@/core/book/ingredients";
import { cautionsFor } from "@/core/safety/cautionsFor";
import { Cautions } from "../kit/Cautions";
import { chosenKey, farmRecipe, recipeOfKey, versionsOffered, type RecipeKey } from "@/core/recipe/pick";
import { sayTemperature } from "@/formats/amounts";
import { sayLead } from "@/words/said";
import type { PeakStartView, MethodRecord } from "@/services/ferment";
import type { BookView } from "@/services/book";
import { useBookAct } from "../acts/book";
import { undoOffer } from "../acts/undo";
import { queryOf } from "../fill/recipeKey";
import { PeakStarts } from "../content/PeakStarts";
import { Button, buttonClass } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { Notice } from "../kit/Notice";
import { useKey } from "../frame/keys";
import { Claims } from "./Claims";
import { FarmRecord } from "./FarmRecord";
import { Cues, Keeping, Part, Stages, Steps, Tending, Uses, WithoutEquipment } from "./MethodParts";
import { RecipeDrawing } from "./MethodPlate";
import type { ScaleStart } from "./scaleDraft";
import { Differences, SchoolsTable, type SchoolColumn } from "./SchoolsTable";
import { Versions } from "./Versions";
import { BookText } from "../kit/BookText";
import { formatNumber } from "@/formats/numbers";
import { panel } from "../kit/later";
import { inText } from "@/formats/grammar";

const EditSheet = panel(() => import("./EditSheet").then((module) => module.EditSheet));
const ScaleSheet = panel(() => import("./ScaleSheet").then((module) => module.ScaleSheet));

interface MethodScreenProps {
  readonly view: BookView;
  readonly methodId: string;
  readonly record: MethodRecord;
  /** Starts that put its best hour into fit hours; none for what keeps. */
  readonly starts: readonly PeakStartView[];
  /** Opened from the chooser with something to scale by. */
  readonly scaleFrom: ScaleStart | null;
}

const sameKey = (a: RecipeKey, b: RecipeKey) => a.schoolId === b.schoolId && a.versionNo === b.versionNo;

/** Every way of making it that the farm may pick: the book's schools, each with the farm's newest version beside it. */
function keysOf(view: BookView, methodId: string): RecipeKey[] {
  return findMethod(methodId).schools.flatMap(({ id: schoolId }) => {
    const own = versionsOffered(view, methodId, schoolId);
    return [
      { methodId, schoolId, versionNo: null },
      ...own.map(({ versionNo }) => ({ methodId, schoolId, versionNo })),
    ];
  });
}

function columnOf(view: BookView, key: RecipeKey, ours: RecipeKey): SchoolColumn {
  const recipe = recipeOfKey(key, view.versions);
  return {
    key: `${key.schoolId} ${key.versionNo ?? ""}`,
    title: key.versionNo === null ? recipe.school.name : `${recipe.school.name}, own version ${key.versionNo}`,
    recipe,
    cautious: key.versionNo === null && key.schoolId === findMethod(key.methodId).cautiousSchool,
    ours: sameKey(key, ours),
  };
}

/** What it is, what it likes and gives, what can be done with it. */
const MethodHead = ({
  view,
  methodId,
  shown,
  recipe,
  onOpen,
}: {
  readonly view: BookView;
  readonly methodId: string;
  readonly shown: RecipeKey;
  readonly recipe: Recipe;
  readonly onOpen: (sheet: "scale" | "edit") => void;
}) => {
  const method = findMethod(methodId);
  const basis = findIngredient(recipe.basis);
  return (
    <div className="grid gap-x-8 gap-y-4 md:grid-cols-[150px_1fr]">
      <div className="flex items-end justify-center border-b-[3px] border-ink max-md:order-2">
        <RecipeDrawing recipe={recipe} pxPerM={230} />
      </div>
      <div>
        <h1 className="text-3xl">{method.name}</h1>
        <p className="text-lg">{method.purpose}</p>
        {namesOf(methodId).length > 0 ? (
          <p className="text-soft">
            Also called: {namesOf(methodId).join(", ")}.{" "}
            <Link href="/book/names" className="underline print:hidden">
              Names and family tree
            </Link>
          </p>
        ) : null}
        <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4 text-[0.95rem] sm:grid-cols-[auto_1fr_auto_1fr]">
          {Object.entries(recipe.lookAlike).map(([what, says]) => (
            <div key={what} className="contents">
              <dt className="font-semibold capitalize">{what}</dt>
              <dd>{says}</dd>
            </div>
          ))}
        </dl>
        <p className="reading mt-2">
          Started now: {view.lead[methodId] ? sayLead(view.lead[methodId]) : ""} · likes{" "}
          {sayTemperature(recipe.comfortC.low, view.farm.units)} to{" "}
          {sayTemperature(recipe.comfortC.high, view.farm.units)} · gives{" "}
          {recipe.yieldUnit === basis.stockUnit ? (
            `${formatNumber(100 * recipe.yieldPerBasis.default, 3)} %`
          ) : (
            <BookText>{`${formatNumber(recipe.yieldPerBasis.default, 3)} ${recipe.yieldUnit} to 1 ${basis.stockUnit}`}</BookText>
          )}{" "}
          of {inText(basis.name)}
        </p>
        <div className="mt-3 flex flex-wrap gap-3 print:hidden">
          <Button variant="strong" onClick={() => onOpen("scale")}>
            Scale recipe
          </Button>
          <Button onClick={() => onOpen("edit")}>Make own version</Button>
          <Button onClick={() => window.print()}>Print card</Button>
          <a href={`/book/${methodId}/recipe?${queryOf(shown)}`} download className={buttonClass("plain")}>
            Recipe as a file
          </a>
        </div>
      </div>
    </div>
  );
};

/** What goes beyond the one recipe: its best starts, its record here, other schools, versions, cautions. */
const Beyond = ({
  view,
  methodId,
  record,
  starts,
  columns,
  recipe,
}: {
  readonly view: BookView;
  readonly methodId: string;
  readonly record: MethodScreenProps["record"];
  readonly starts: MethodScreenProps["starts"];
  readonly columns: readonly SchoolColumn[];
  readonly recipe: Recipe;
}) => (
  <div className="mt-10 grid grid-cols-1 gap-10">
    {starts.length > 0 ? (
      <Part title="When to start, to be best at a good time">
        <div className="max-w-2xl">
          <PeakStarts starts={starts} nowMs={view.nowMs} clock={view.farm} />
          <p className="mt-1 text-[0.92rem] text-soft">
            By the air that is expected and the usual vessel. It may come hours sooner or later: smell it before.
          </p>
        </div>
      </Part>
    ) : null}
    {record.learned || record.lines.length > 0 ? (
      <Part title="On this farm">
        <FarmRecord record={record} clock={view.farm} />
      </Part>
    ) : null}
    <Part title={columns.length > 1 ? "Compare recipes" : "In figures"}>
      <SchoolsTable columns={columns} />
    </Part>
    <Part title="Where growers differ">
      <Differences methodId={methodId} />
    </Part>
    <Part title="What people say">
      <Claims claims={[...claimsOf(methodId), ...CLAIMS.filter(({ methodIds }) => methodIds.length === 0)]} />
    </Part>
    <Versions view={view} methodId={methodId} />
    <Part title="Safety">
      <Cautions
        cautions={cautionsFor(recipe, {
          filledL: null,
          ingredients: recipe.ingredients.filter(({ optional }) => !optional).map(({ ingredient }) => ingredient),
        })}
      />
      <p className="mt-2 text-[0.92rem] text-soft">
        Follow local law, your certifier and qualified electricians first. How sure anyone is:{" "}
        <BookText>{recipe.sureness}</BookText>
      </p>
    </Part>
  </div>
);

/** One method of the field book. */
export const MethodScreen = ({ view, methodId, record, starts, scaleFrom }: MethodScreenProps) => {
  const ours = chosenKey(methodId, view.choices);
  const [shown, setShown] = useState<RecipeKey>(ours);
  const [open, setOpen] = useState<"scale" | "edit" | null>(scaleFrom ? "scale" : null);
  const choose = useBookAct("chooseRecipe", "toast");
  const recipe = recipeOfKey(shown, view.versions);
  const keys = keysOf(view, methodId);
  const columns = keys.map((key) => columnOf(view, key, ours));
  const held = view.versions.find(
    (version) =>
      version.methodId === methodId && version.schoolId === shown.schoolId && version.versionNo === shown.versionNo,
  );
  useKey("s", () => setOpen("scale"));
  const pick = async () => {
    const before = ours;
    if (await choose.run({ ...shown }))
      told(
        `This farm now uses ${inText(recipe.school.name)}.`,
        undoOffer(() => choose.run({ ...before })),
      );
  };
  return (
    <div className="mx-auto max-w-[1240px] px-4 py-5 md:px-8">
      <Link
        href="/book"
        className="inline-flex min-h-11 items-center text-[0.95rem] underline decoration-line decoration-2 underline-offset-4 print:hidden"
      >
        All methods
      </Link>
      <MethodHead view={view} methodId={methodId} shown={shown} recipe={recipe} onOpen={setOpen} />
      <div className="mt-6 flex flex-wrap items-end justify-between gap-3 border-t-2 border-ink pt-3 print:hidden">
        <Choices
          label="Read it by"
          value={`${shown.schoolId}/${shown.versionNo ?? ""}`}
          onChange={(value) => setShown(keys.find((key) => `${key.schoolId}/${key.versionNo ?? ""}` === value) ?? ours)}
          options={columns.map(({ title, cautious, ours: mine }, index) => ({
            value: `${keys[index]!.schoolId}/${keys[index]!.versionNo ?? ""}`,
            label: `${title}${cautious ? " (cautious)" : ""}${mine ? ", our choice" : ""}`,
          }))}
        />
        {sameKey(shown, ours) ? (
          <p className="text-soft">This farm uses this recipe.</p>
        ) : (
          <Button disabled={choose.busy || (held?.unconfirmed.length ?? 0) > 0} onClick={() => void pick()}>
            Use this recipe
          </Button>
        )}
      </div>
      {held && held.unconfirmed.length > 0 ? (
        <div className="mt-3 grid gap-2">
          {held.unconfirmed.map(({ path, text }) => (
            <Notice key={path + text} tone="caution" title="Not confirmed: cannot be used yet">
              {text}
            </Notice>
          ))}
        </div>
      ) : null}
      <div className="mt-5 grid grid-cols-1 gap-x-12 gap-y-8 md:grid-cols-[1.25fr_1fr]">
        <div className="grid content-start gap-8">
          <Steps recipe={recipe} units={view.farm.units} />
          <Stages recipe={recipe} />
          <Tending recipe={recipe} />
          <WithoutEquipment recipe={recipe} />
        </div>
        <div className="grid content-start gap-8">
          <Cues recipe={recipe} />
          <Uses recipe={recipe} />
          <Keeping recipe={recipe} />
        </div>
      </div>
      <Beyond view={view} methodId={methodId} record={record} starts={starts} columns={columns} recipe={recipe} />
      {open === "scale" ? (
        <ScaleSheet view={view} recipeKey={shown} recipe={recipe} start={scaleFrom} onClose={() => setOpen(null)} />
      ) : null}
      {open === "edit" ? (
        <EditSheet view={view} recipeKey={shown} recipe={farmRecipe(view, methodId)} onClose={() => setOpen(null)} />
      ) : null}
    </div>
  );
};
