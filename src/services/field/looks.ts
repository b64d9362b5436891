import "server-only";
import { MOMENT, REQUEST_KEY, ROW_ID, object } from "@/contracts/parts";
import { SIGNS, type Looked } from "@/core/apply/looks";
import { insertLook, lockPlot } from "@/data/field";
import { act } from "../act";
import { momentOf } from "../checks";
import { cleanPhoto, PHOTO, PHOTO_ACT_BYTES } from "../photo";
import { refuse } from "../refusal";

const SEE_PLOT = object(["requestKey", "plotId", "signs"], {
  requestKey: REQUEST_KEY,
  plotId: ROW_ID,
  signs: object(
    [],
    Object.fromEntries(Object.entries(SIGNS).map(([sign, words]) => [sign, { enum: words }])) as {
      readonly [S in keyof typeof SIGNS]: { readonly enum: (typeof SIGNS)[S] };
    },
  ),
  note: { type: "string", maxLength: 500 },
  jpeg: PHOTO,
  at: MOMENT,
});

/** How a plot looks, in the closed words, with a photograph where one is taken. @throws {Refusal} for a look at nothing */
export const seePlot = act(
  { name: "seePlot", schema: SEE_PLOT, may: "helper", mostBytes: PHOTO_ACT_BYTES },
  async (db, request, ctx): Promise<{ lookId: number }> => {
    const { plotId, signs, note = "", jpeg } = request;
    if (!(await lockPlot(db, plotId))) throw refuse("not-found", { thing: "plot" }, "/plotId");
    if (Object.keys(signs).length === 0 && note.trim() === "" && jpeg === undefined)
      throw refuse("what-was-seen", {}, "/signs");
    return {
      lookId: await insertLook(db, {
        plotId,
        at: momentOf(ctx, request.at),
        signs: signs as Looked,
        note: note.trim(),
        jpeg: jpeg === undefined ? null : await cleanPhoto(jpeg),
        actorId: ctx.actor.id,
        addedAt: ctx.now(),
      }),
    };
  },
);
