"use client";
import { createContext, useContext, type ReactNode } from "react";
import type { BatchBrief } from "@/services/batch";
import type { YardView } from "@/services/yard";
import { asItStands } from "../kit/asItStands";
import { Button, type ButtonVariant } from "../kit/Button";
import { panel } from "../kit/later";
import { RoundList } from "./RoundList";
import { useYardActs, type OpenSheet } from "./useYardActs";
import type { YardHands, YardPage } from "./yardHands";

const LogSheet = panel(() => import("../batch/LogSheet").then((module) => module.LogSheet));
const CloseSheet = panel(() => import("../batch/CloseSheet").then((module) => module.CloseSheet));
const ThingSheet = panel(() => import("../farm/ThingSheet").then((module) => module.ThingSheet));
const ArrangeSheet = panel(() => import("./ArrangeSheet").then((module) => module.ArrangeSheet));

const HandsContext = createContext<YardHands | null>(null);

function useHands(): YardHands {
  const hands = useContext(HandsContext);
  if (!hands) throw new Error("No YardDesk above this component.");
  return hands;
}

interface VesselButtonProps {
  readonly vesselId: number;
  readonly does: "fill" | "log" | "close" | "clean";
  /** What it is called where several of its kind stand side by side. */
  readonly label: string;
  readonly variant?: ButtonVariant;
  readonly children: ReactNode;
}

/** Does something with a vessel of the yard. */
export const VesselButton = ({ vesselId, does, label, variant = "plain", children }: VesselButtonProps) => {
  const hands = useHands();
  return (
    <Button wide variant={variant} aria-label={label} onClick={() => hands[does](vesselId)}>
      {children}
    </Button>
  );
};

/** Adds a vessel to the yard. */
export const AddVessel = ({
  variant,
  className = "",
}: {
  readonly variant: ButtonVariant;
  readonly className?: string;
}) => {
  const { add } = useHands();
  return (
    <Button variant={variant} className={className} onClick={add}>
      Add vessel
    </Button>
  );
};

/** The panel that is open over the yard. */
const YardSheet = ({
  yard,
  sheet,
  onClose,
}: {
  readonly yard: YardPage;
  readonly sheet: OpenSheet;
  readonly onClose: () => void;
}) => {
  const clock = yard.farm;
  const { units } = yard.farm;
  const fresh = (batch: BatchBrief) =>
    asItStands(
      yard.vessels.flatMap((vessel) => vessel.batch ?? []),
      batch,
    );
  switch (sheet?.type) {
    case "log":
      return (
        <LogSheet
          batch={fresh(sheet.batch)}
          vesselName={sheet.vesselName}
          focus={sheet.focus}
          clock={clock}
          units={units}
          nowMs={yard.nowMs}
          onClose={onClose}
        />
      );
    case "close":
      return (
        <CloseSheet
          batch={fresh(sheet.batch)}
          vesselName={sheet.vesselName}
          units={units}
          clock={clock}
          nowMs={yard.nowMs}
          onClose={onClose}
        />
      );
    case "arrange":
      return <ArrangeSheet task={sheet.task} people={yard.people} nowMs={yard.nowMs} clock={clock} onClose={onClose} />;
    case "add":
      return <ThingSheet kind="vessel" onClose={onClose} />;
    default:
      return null;
  }
};

interface YardDeskProps {
  readonly yard: YardPage & Pick<YardView, "done">;
  /** The vessels and what rises from them. */
  readonly plate: ReactNode;
  /** What stands below the day's jobs. */
  readonly aside: ReactNode;
}

/** The yard as something that can be worked at: what is drawn in it is made with the page, its buttons reach the panels through here. */
export const YardDesk = ({ yard, plate, aside }: YardDeskProps) => {
  const { sheet, setSheet, busyKey, hands, touch, touchAll } = useYardActs(yard);
  return (
    <HandsContext.Provider value={hands}>
      <div className="grid md:grid-cols-[minmax(0,1fr)_316px]">
        <div className="min-w-0 max-md:order-2">{plate}</div>
        <aside className="border-line bg-chalk px-4 py-4 max-md:order-1 max-md:border-b md:border-l">
          <RoundList
            tasks={yard.round}
            done={yard.done}
            people={yard.people}
            nowMs={yard.nowMs}
            clock={yard.farm}
            busyKey={busyKey}
            onTouch={(task) => void touch(task)}
            onTouchAll={(tasks) => void touchAll(tasks)}
            onArrange={(task) => setSheet({ type: "arrange", task })}
          />
          {aside}
        </aside>
      </div>
      <YardSheet yard={yard} sheet={sheet} onClose={() => setSheet(null)} />
    </HandsContext.Provider>
  );
};
