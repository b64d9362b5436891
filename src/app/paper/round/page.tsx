import type { Metadata } from "next";
import { paperNamed } from "@/core/paper/papers";
import { isLabelLanguage } from "@/formats/labelLanguage";
import { readYard } from "@/services/yard/readYard";
import { RoundPaper } from "@/ui/paper/RoundPaper";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "The round on paper" };

export default async function RoundPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ paper?: string; language?: string }>;
}) {
  const { paper, language } = await searchParams;
  const page = await openPage(({ ctx, farm }) => readYard(ctx, farm));
  if (page.type !== "open") return null;
  const { round, farm, nowMs } = page.value;
  return (
    <RoundPaper
      tasks={round}
      farm={farm}
      nowMs={nowMs}
      paper={paperNamed(paper)}
      language={isLabelLanguage(language) ? language : "en"}
    />
  );
}
