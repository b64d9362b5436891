import type { Metadata } from "next";
import { FilesScreen } from "@/ui/files/FilesScreen";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Files" };

export default async function FilesPage() {
  const { type } = await openPage(async () => true);
  return type === "open" ? <FilesScreen /> : null;
}
