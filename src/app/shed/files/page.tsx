import type { Metadata } from "next";
import { FilesScreen } from "@/ui/files/FilesScreen";
import { openPage } from "../../openPage";

export const metadata: Metadata = { title: "Files" };

export default async function FilesPage() {
  const page = await openPage(() => Promise.resolve(true));
  return page.type === "open" ? <FilesScreen /> : null;
}
