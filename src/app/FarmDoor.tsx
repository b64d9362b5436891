"use client";
import { useRouter } from "next/navigation";
import { useMemo, type ReactNode } from "react";
import type { ActResult } from "@/contracts/answer";
import { DoorProvider, type Door } from "@/ui/acts/act";

const post = (path: string, body: object): Promise<Response> =>
  fetch(path, { method: "POST", headers: { "content-type": "application/json" }, body: JSON.stringify(body) });

/** The farm's own door, for the screens below it. */
export function FarmDoor({ units, children }: { readonly units: Door["units"]; readonly children: ReactNode }) {
  const router = useRouter();
  const door = useMemo(
    (): Door => ({
      units,
      send: async (name, request) => (await (await post(`/api/act/${name}`, request)).json()) as ActResult<unknown>,
      read: async (name, query, signal) =>
        (await (
          await fetch(`/api/view/${name}?${new URLSearchParams(query)}`, { signal })
        ).json()) as ActResult<unknown>,
      onChanged: () => router.refresh(),
      choosePerson: async (id) => void (await post("/api/person", { id })),
    }),
    [router, units],
  );
  return <DoorProvider door={door}>{children}</DoorProvider>;
}
