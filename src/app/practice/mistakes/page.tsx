import type { Metadata } from "next";
import { MistakesScreen } from "@/ui/practice/MistakesScreen";

export const metadata: Metadata = { title: "What a mistake costs" };

export default function MistakesPage() {
  return <MistakesScreen />;
}
