"use client";
import { Away } from "@/ui/frame/Away";

export default function ErrorPage() {
  return <Away />;
}
