import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { paperNamed } from "@/core/paper/papers";
import { readMixing, readPlannedMixing } from "@/services/mixing/readMixing";
import { MixingPaper } from "@/ui/paper/MixingPaper";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Mixing sheet" };

export default async function MixingPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ id?: string; plan?: string; paper?: string }>;
}) {
  const { id = "", plan = "", paper } = await searchParams;
  const isId = (text: string) => /^\d{1,15}$/.test(text);
  const page = await openPage(({ ctx, farm }) =>
    isId(id)
      ? readMixing(ctx, farm, Number(id))
      : isId(plan)
        ? readPlannedMixing(ctx, farm, Number(plan))
        : Promise.resolve(null),
  );
  if (page.type !== "open") return null;
  if (!page.value) notFound();
  return <MixingPaper view={page.value} paper={paperNamed(paper)} />;
}
