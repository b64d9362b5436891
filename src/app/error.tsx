"use client";
import { Broken } from "@/ui/frame/Broken";

export default function ErrorPage({ error }: { readonly error: Error & { readonly digest?: string } }) {
  return <Broken number={error.digest ?? null} />;
}
