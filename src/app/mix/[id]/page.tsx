import type { Metadata } from "next";
import { notFound } from "next/navigation";
import { readMixing } from "@/services/mixing/readMixing";
import { MixScreen } from "@/ui/mixing/MixScreen";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Mixing" };

export default async function MixPage({ params }: { readonly params: Promise<{ id: string }> }) {
  const { id } = await params;
  const page = await openPage(({ ctx, farm }) =>
    /^\d{1,15}$/.test(id) ? readMixing(ctx, farm, Number(id)) : Promise.resolve(null),
  );
  if (page.type !== "open") return null;
  if (!page.value) notFound();
  return <MixScreen view={page.value} />;
}
