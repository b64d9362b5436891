import type { Metadata } from "next";
import { MixScreen } from "@/ui/mixing/MixScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Mixing" };

export default async function MixPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  const view = await openView("mixing", { id });
  return view ? <MixScreen view={view} /> : null;
}
