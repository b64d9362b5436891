import type { Metadata } from "next";
import { paperNamed } from "@/core/paper/papers";
import { MixingPaper } from "@/ui/paper/MixingPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Fill sheet" };

export default async function MixingPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ id?: string; plan?: string; paper?: string }>;
}) {
  const { id, plan, paper } = await searchParams;
  const view = await (id === undefined ? openView("plannedMixing", { planId: plan }) : openView("mixing", { id }));
  return view ? <MixingPaper view={view} paper={paperNamed(paper)} /> : null;
}
