import type { Metadata } from "next";
import { PlotScreen } from "@/ui/field/PlotScreen";
import { openView } from "../../../openPage";

export const metadata: Metadata = { title: "Plot" };

export default async function PlotPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const page = await openView("plot", { id: (await params).id });
  return page ? <PlotScreen page={page} /> : null;
}
