import type { Metadata } from "next";
import { SignsScreen } from "@/ui/practice/SignsScreen";

export const metadata: Metadata = { title: "Signs in pictures" };

export default function SignsPage() {
  return <SignsScreen />;
}
