import "server-only";
import { NAME, REQUEST_KEY, ROW_ID, object, orNull } from "@/contracts/parts";
import { ELSEWHERE_KINDS, isElsewhere } from "@/core/apply/elsewhere";
import { rectangle } from "@/core/land/ring";
import { freePlotName, insertPlot, listShapes, lockPlot, putPlotAway, redrawPlot, type Drawn } from "@/data/field";
import { act } from "../act";
import { withFreeName } from "../checks";
import { refuse } from "../refusal";

const SET_ELSEWHERE = object(["requestKey", "name", "kind"], {
  requestKey: REQUEST_KEY,
  /** Null for a new one. */
  plotId: orNull(ROW_ID),
  name: { ...NAME, maxLength: 40 },
  kind: { enum: ELSEWHERE_KINDS },
  putAway: { type: "boolean" },
});

/** It lies nowhere, and counts as one: a rate on it is all that it gets. */
const NOWHERE = rectangle([0, 0], 1, 1);

/** Something that is treated and lies nowhere on the plan: named, named anew, or put away with its past kept. @throws {Refusal} */
export const setElsewhere = act(
  { name: "setElsewhere", schema: SET_ELSEWHERE, may: "grower" },
  async (db, request, ctx): Promise<Drawn> => {
    const name = request.name.trim();
    const shape = {
      name,
      kind: request.kind,
      ring: NOWHERE,
      areaM2: 1,
      block: "",
      tags: [],
      actorId: ctx.actor.id,
      addedAt: ctx.now(),
    };
    const plotId = request.plotId ?? null;
    if (plotId === null) return withFreeName(name, () => insertPlot(db, shape));
    const standing = (await lockPlot(db, plotId)) ? (await listShapes(db, false, [plotId]))[0] : undefined;
    if (!standing || !isElsewhere(standing.kind)) throw refuse("not-found", { thing: "plot" }, "/plotId");
    if (request.putAway) return putPlotAway(db, plotId, shape);
    await freePlotName(db, plotId);
    return withFreeName(name, () => redrawPlot(db, plotId, shape));
  },
);
