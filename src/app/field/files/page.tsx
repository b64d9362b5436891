import type { Metadata } from "next";
import { FieldFilesScreen } from "@/ui/field/FieldFilesScreen";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Files of the field" };

export default async function FieldFilesPage() {
  const { type } = await openPage(async () => true);
  return type === "open" ? <FieldFilesScreen /> : null;
}
