import { readShelf } from "@/services/readShed";
import { readYard } from "@/services/readYard";
import { FillSheet } from "@/ui/fill/FillSheet";
import { YardScreen } from "@/ui/yard/YardScreen";
import { openPage } from "./openPage";

export default async function YardPage({ searchParams }: { readonly searchParams: Promise<{ fill?: string }> }) {
  const { fill } = await searchParams;
  const page = await openPage(async ({ ctx, farm }) => {
    const [yard, shelf] = await Promise.all([readYard(ctx, farm), fill === undefined ? null : readShelf(ctx)]);
    return { yard, shelf };
  });
  if (page.type !== "open") return null;
  const { yard, shelf } = page.value;
  const vessel = yard.vessels.find(({ id }) => String(id) === fill);
  return (
    <>
      <YardScreen yard={yard} />
      {vessel && shelf ? <FillSheet key={vessel.id} vessel={vessel} shelf={shelf} farm={yard.farm} /> : null}
    </>
  );
}
