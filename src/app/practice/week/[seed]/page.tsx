import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { WeekScreen } from "@/ui/practice/WeekScreen";
import { openView } from "../../../openPage";

export const metadata: Metadata = { title: "A week on a small farm" };

export default async function WeekPage({ params }: { readonly params: Promise<{ seed: string }> }) {
  const { seed } = await params;
  if (!/^[1-9]\d{0,3}$/.test(seed)) notFound();
  const view = await openView("practice");
  return view ? <WeekScreen key={seed} seed={Number(seed)} units={view.system} /> : null;
}
