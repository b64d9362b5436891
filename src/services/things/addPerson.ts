import "server-only";
import { NAME, object, REQUEST_KEY } from "@/contracts/parts";
import { ROLES } from "@/core/people/roles";
import { insertActor } from "@/data/farm";
import { act } from "../act";
import { withFreeName } from "../checks";

const ADD_PERSON = object(["requestKey", "name"], {
  requestKey: REQUEST_KEY,
  name: NAME,
  /** A helper, where nothing is said. */
  role: { enum: ROLES },
});

/** Somebody who works here from now on. @throws {Refusal} */
export const addPerson = act(
  { name: "addPerson", schema: ADD_PERSON, may: "steward" },
  async (db, request): Promise<{ personId: number }> => {
    const name = request.name.trim();
    return { personId: await withFreeName(name, () => insertActor(db, name, request.role ?? "helper")) };
  },
);
