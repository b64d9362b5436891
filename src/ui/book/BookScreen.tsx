"use client";
import { useState } from "react";
import { METHODS } from "@/core/book";
import type { Family } from "@/core/book/types";
import type { BookView } from "@/services/book";
import { farmRecipe } from "@/core/recipe/pick";
import { Button, buttonClass } from "../kit/Button";
import { Choices } from "../kit/Choices";
import { Link } from "../kit/Link";
import { useKey } from "../frame/keys";
import { DayChoice } from "./DayChoice";
import { GoalChoice } from "./GoalChoice";
import { HandChoice } from "./HandChoice";
import { MethodPlate } from "./MethodPlate";
import { panel } from "../kit/later";

const ImportSheet = panel(() => import("./ImportSheet").then((module) => module.ImportSheet));
const WeighSheet = panel(() => import("../measures/WeighSheet").then((module) => module.WeighSheet));

type By = "all" | "goal" | "hand" | "day";

const FAMILIES: readonly { readonly name: string; readonly families: readonly Family[] }[] = [
  { name: "Brews used at their best hour", families: ["bloom", "fresh"] },
  { name: "Sour ferments", families: ["acid"] },
  { name: "Drawn by sugar, or by acid", families: ["sugar", "mineral"] },
  { name: "Long soaks", families: ["soak"] },
  { name: "Char and solids", families: ["char", "solid"] },
  { name: "Ingredients that are themselves made", families: ["preparation"] },
];

const Everything = ({ view }: { readonly view: BookView }) => (
  <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
    {FAMILIES.map(({ name, families }) => (
      <section key={name} aria-label={name}>
        <h2 className="border-b-2 border-ink pb-1 text-xl">{name}</h2>
        <ul>
          {METHODS.filter(({ family }) => families.includes(family)).map(({ id }) => (
            <MethodPlate key={id} recipe={farmRecipe(view, id)} lead={view.lead[id]} />
          ))}
        </ul>
      </section>
    ))}
  </div>
);

/** The field book: every method, and three ways to choose among them. */
export const BookScreen = ({ view, startBy }: { readonly view: BookView; readonly startBy: By }) => {
  const [by, setBy] = useState<By>(startBy);
  const [open, setOpen] = useState<"import" | "weigh" | null>(null);
  useKey("i", () => setOpen("import"));
  return (
    <div className="mx-auto max-w-[1240px] px-4 py-5 md:px-8">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-2xl">Methods</h1>
        <div className="flex flex-wrap gap-2">
          <Link href="/book/names" className={buttonClass("plain")}>
            Names and family tree
          </Link>
          <Button onClick={() => setOpen("weigh")}>Weigh own measure</Button>
          <Button onClick={() => setOpen("import")}>Import a recipe</Button>
        </div>
      </div>
      <div className="my-4">
        <Choices<By>
          label="What do you want to make?"
          value={by}
          onChange={setBy}
          options={[
            { value: "all", label: "Browse all" },
            { value: "goal", label: "By purpose" },
            { value: "hand", label: "From what I have" },
            { value: "day", label: "For a day" },
          ]}
        />
      </div>
      {by === "all" ? <Everything view={view} /> : null}
      <div className="max-w-[860px]">
        {by === "goal" ? <GoalChoice view={view} /> : null}
        {by === "hand" ? <HandChoice view={view} /> : null}
        {by === "day" ? <DayChoice view={view} /> : null}
      </div>
      {open === "import" ? <ImportSheet view={view} onClose={() => setOpen(null)} /> : null}
      {open === "weigh" ? <WeighSheet measures={view.measures} onClose={() => setOpen(null)} /> : null}
    </div>
  );
};
