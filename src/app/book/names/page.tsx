import type { Metadata } from "next";
import { NamesScreen } from "@/ui/book/NamesScreen";

export const metadata: Metadata = { title: "Names and family tree" };

export default function NamesPage() {
  return <NamesScreen />;
}
