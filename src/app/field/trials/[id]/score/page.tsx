import type { Metadata } from "next";
import { ScoreScreen } from "@/ui/trials/ScoreScreen";
import { openView } from "../../../../openPage";

export const metadata: Metadata = { title: "Read the strips" };

export default async function ScorePage({ params }: { readonly params: Promise<{ id: string }> }) {
  const view = await openView("trialScoring", { id: (await params).id });
  return view ? <ScoreScreen view={view} /> : null;
}
