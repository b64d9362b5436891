import "server-only";
import { NAME, object, REQUEST_KEY } from "@/contracts/parts";
import { insertActor } from "@/data/farm";
import { act } from "../act";
import { withFreeName } from "../checks";

const ADD_PERSON = object(["requestKey", "name"], { requestKey: REQUEST_KEY, name: NAME });

/** Somebody who works here from now on. @throws {Refusal} */
export const addPerson = act(
  { name: "addPerson", schema: ADD_PERSON, may: "everybody" },
  async (db, request): Promise<{ personId: number }> => {
    const name = request.name.trim();
    return { personId: await withFreeName(name, () => insertActor(db, name)) };
  },
);
