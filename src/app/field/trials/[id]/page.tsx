import type { Metadata } from "next";
import { TrialScreen } from "@/ui/trials/TrialScreen";
import { openView } from "../../../openPage";

export const metadata: Metadata = { title: "Trial" };

export default async function TrialPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const view = await openView("trial", { id: (await params).id });
  return view ? <TrialScreen view={view} /> : null;
}
