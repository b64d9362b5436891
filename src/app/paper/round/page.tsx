import type { Metadata } from "next";
import { NotUsed } from "@/ui/frame/NotUsed";
import { isPaper, paperNamed } from "@/core/paper/papers";
import { isLabelLanguage } from "@/words/labelLanguage";
import { RoundPaper } from "@/ui/paper/RoundPaper";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Today’s jobs on paper" };

export default async function RoundPaperPage({
  searchParams,
}: {
  readonly searchParams: Promise<{ paper?: string; language?: string }>;
}) {
  const query = await searchParams;
  const { paper, language } = query;
  const yard = await openView("yard");
  if (!yard) return null;
  const { round, farm, nowMs } = yard;
  return (
    <>
      <NotUsed query={{ ...query }} fits={{ paper: isPaper, language: isLabelLanguage }} />
      <RoundPaper
        tasks={round}
        farm={farm}
        nowMs={nowMs}
        paper={paperNamed(paper)}
        language={isLabelLanguage(language) ? language : "en"}
      />
    </>
  );
}
