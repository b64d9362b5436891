import "server-only";
import { object } from "@/contracts/parts";
import { readLabels } from "../papers";
import { ID, view } from "../view";

const LABELS = object(["batch", "origin"], { batch: ID, origin: { type: "string", maxLength: 200 } });

export const PAPERS_VIEWS = {
  /** `origin` is the address that the code on a label leads a phone to. */
  labels: view({ name: "labels", schema: LABELS, may: "viewer" }, ({ ctx, farm }, { batch, origin }) =>
    readLabels(ctx, farm, batch, origin),
  ),
} as const;
