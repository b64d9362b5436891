import type { Metadata } from "next";
import { SafetyScreen } from "@/ui/practice/SafetyScreen";
import { anySeed } from "@/ui/practice/practiceLinks";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Safety" };

export default async function SafetyPage() {
  const view = await openView("practice");
  return view ? <SafetyScreen isKept={view.isKept} firstSeed={anySeed()} /> : null;
}
