import "server-only";
import type { Role } from "@/core/people/roles";

/** The people of the made-up farm, one of each role, with what they sign in by: shown on its sign-in page, and good on that farm alone. */
export const DEMO_PEOPLE: readonly {
  readonly name: string;
  readonly role: Role;
  readonly passphrase: string;
  readonly pin: string;
}[] = [
  { name: "Maren", role: "steward", passphrase: "nettles in the rain", pin: "4071" },
  { name: "Odo", role: "grower", passphrase: "castings and straw", pin: "5182" },
  { name: "Pilar", role: "helper", passphrase: "weir above the hedge", pin: "6293" },
  { name: "Quentin", role: "viewer", passphrase: "baskets on a friday", pin: "7304" },
];

/** Those of this farm, where it is the made-up one. */
export const demoPeople = (): typeof DEMO_PEOPLE => (process.env.RUCHKA_DEMO === "1" ? DEMO_PEOPLE : []);
