"use client";
import { usePathname, useRouter, useSearchParams } from "next/navigation";

/** What a paper is printed by stands in its address, so that a label sheet can be kept and opened again. */
export function usePaperQuery(): (name: string, value: string) => void {
  const router = useRouter();
  const path = usePathname();
  const query = useSearchParams();
  return (name, value) => {
    const next = new URLSearchParams(query);
    next.set(name, value);
    router.replace(`${path}?${next.toString()}`, { scroll: false });
  };
}
