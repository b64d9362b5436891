import { METHODS } from "@/core/book";
import { NotUsed } from "@/ui/frame/NotUsed";
import { fillStartFrom, recipeKeyFrom } from "@/ui/fill/recipeKey";
import { YardScreen } from "@/ui/yard/YardScreen";
import { FillSheet, FirstDrumScreen } from "./laterScreens";
import { openView } from "./openPage";

interface YardQuery {
  readonly fill?: string;
  readonly method?: string;
  readonly school?: string;
  readonly version?: string;
  readonly plan?: string;
  readonly amount?: string;
  readonly include?: string;
  readonly stated?: string;
  readonly swaps?: string;
}

export default async function YardPage({ searchParams }: { readonly searchParams: Promise<YardQuery> }) {
  const query = await searchParams;
  const [yard, making] = await Promise.all([openView("yard"), query.fill === undefined ? null : openView("making")]);
  if (!yard) return null;
  if (yard.isNew) {
    const book = await openView("book");
    return book ? <FirstDrumScreen view={book} /> : null;
  }
  const plan = making?.plans.find(({ id }) => String(id) === query.plan) ?? null;
  const vessel = yard.vessels.find(({ id }) => String(id) === query.fill);
  return (
    <>
      <NotUsed
        query={{ ...query }}
        fits={{
          fill: vessel !== undefined,
          plan: plan !== null,
          method: (id) => METHODS.some((method) => method.id === id),
          amount: (amount) => Number(amount) > 0,
          // What these name is looked up with the method, and left out where it is not of it.
          school: true,
          version: true,
          include: true,
          stated: true,
          swaps: true,
        }}
      />
      <YardScreen yard={yard} />
      {vessel && making ? (
        <FillSheet
          key={vessel.id}
          vessel={vessel}
          making={making}
          farm={yard.farm}
          startWith={
            plan
              ? { methodId: plan.methodId, schoolId: plan.schoolId, versionNo: plan.versionNo }
              : recipeKeyFrom(query, making.versions)
          }
          plan={plan}
          start={plan ?? fillStartFrom(query)}
        />
      ) : null}
    </>
  );
}
