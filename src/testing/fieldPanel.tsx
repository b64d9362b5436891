import type { FieldView } from "@/services/field";
import { ApplyPanel } from "@/ui/field/ApplyPanel";
import { stopsOf } from "@/ui/field/PourList";
import { useApply } from "@/ui/field/useApply";

/** The panel that puts a store on beds, without the plan beside it. */
export const FieldPanel = ({
  view,
  chosen,
  storeId = null,
  onDone = () => undefined,
}: {
  readonly view: FieldView;
  readonly chosen: ReadonlySet<number>;
  readonly storeId?: number | null;
  readonly onDone?: () => void;
}) => {
  const applying = useApply(view, { storeId, step: null }, chosen, onDone);
  return <ApplyPanel applying={applying} stops={stopsOf(applying, [0, 0])} />;
};
