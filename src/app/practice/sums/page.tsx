import type { Metadata } from "next";
import { SumsScreen } from "@/ui/practice/SumsScreen";
import { anySeed } from "@/ui/practice/practiceLinks";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Sums in the head" };

export default async function SumsPage() {
  const view = await openView("practice");
  return view ? <SumsScreen units={view.system} isKept={view.isKept} firstSeed={anySeed()} /> : null;
}
