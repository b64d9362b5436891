import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { readDrumCode } from "@/core/practice/drum/setup";
import { DrumScreen } from "@/ui/practice/DrumScreen";
import { openView } from "../../../openPage";

export const metadata: Metadata = { title: "Practice drum" };

export default async function PracticeDrumPage({ params }: { readonly params: Promise<{ code: string }> }) {
  const { code } = await params;
  const read = readDrumCode(code);
  if (!read) notFound();
  const view = await openView("practice");
  return view ? (
    <DrumScreen key={code} name={read.name} seed={read.seed} units={view.system} isKept={view.isKept} />
  ) : null;
}
