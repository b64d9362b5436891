import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { isPaper, paperNamed } from "@/core/paper/papers";
import { MixingPaper } from "@/ui/paper/MixingPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Fill sheet" };

export default async function MixingPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ id?: string; plan?: string; paper?: string }>;
}) {
  const query = await searchParams;
  const { id, plan, paper } = query;
  const view = await (id === undefined ? openView("plannedMixing", { planId: plan }) : openView("mixing", { id }));
  return view ? (
    <>
      <NotUsed query={{ ...query }} fits={{ id: true, plan: true, paper: isPaper }} />
      <MixingPaper view={view} paper={paperNamed(paper)} />
    </>
  ) : null;
}
