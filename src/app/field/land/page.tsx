import type { Metadata } from "next";
import { LandScreen } from "@/ui/field/draw/LandScreen";
import { openView } from "../../openPage";

export const metadata: Metadata = { title: "Drawing the field" };

export default async function LandPage() {
  const view = await openView("field");
  return view ? <LandScreen view={view} /> : null;
}
