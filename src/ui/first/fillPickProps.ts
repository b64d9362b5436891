import type { FieldErrors } from "@/contracts/fieldErrors";
import type { UnitSystem } from "@/formats/amounts";
import type { FirstDraft, FirstDrum } from "./firstDraft";

/** What the filling of the first drum is drawn from, and what changes it. */
export interface FillPickProps {
  readonly draft: FirstDraft;
  readonly drum: FirstDrum;
  readonly units: UnitSystem;
  readonly currency: string;
  readonly fields: FieldErrors;
  readonly onChange: (change: Partial<FirstDraft>) => void;
}
