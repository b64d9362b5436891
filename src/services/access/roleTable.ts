import "server-only";
import type { Role } from "@/core/people/roles";
import { isRole, type May } from "../act";

/** One thing that can be done or looked at, with who may. */
export interface RoleLine {
  readonly name: string;
  readonly place: string;
  readonly least: Role;
  /** From which role on also to what somebody else wrote; null where that makes no difference. */
  readonly ofOthers: Role | null;
}
interface Registered {
  readonly may: May;
  readonly ofOthers?: { readonly may: Role };
}

/**
 * What each role may, as the registry of acts says: the table that is shown, and the one that is tested.
 * @param acts by place, then by name
 */
export const roleTable = (acts: Readonly<Record<string, Readonly<Record<string, Registered>>>>): RoleLine[] =>
  Object.entries(acts).flatMap(([place, ofPlace]) =>
    Object.entries(ofPlace).flatMap(([name, { may, ofOthers }]) =>
      isRole(may) ? [{ name, place, least: may, ofOthers: ofOthers?.may ?? null }] : [],
    ),
  );
