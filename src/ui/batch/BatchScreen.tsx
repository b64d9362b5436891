import { sayMoney } from "@/formats/amounts";
import { sayPricePer } from "@/formats/fieldUnits";
import type { BatchPage } from "@/services/batch";
import { Cautions } from "../kit/Cautions";
import { Notice } from "../kit/Notice";
import { CostMeasure } from "../ledger/CostMeasure";
import { InIt, Origins } from "./BatchContent";
import { OverTime } from "../drawings/plate/OverTime";
import { briefOf } from "./briefOf";
import { BatchDesk, type DeskPage, type OpenSheet } from "./BatchDesk";
import { BatchHead } from "./BatchHead";
import { Lines, Outcome, Part } from "./BatchParts";
import { Earlier } from "./Earlier";
import { LogList } from "./LogList";
import { DrawnLooks, type DrawnFamily } from "./Looks";
import { Photos } from "./Photos";
import { Residues } from "./Residues";
import type { ResiduePage } from "./ResidueSheet";
import { Tending } from "./Tending";
import { BookText } from "../kit/BookText";

/** Drawn looks by the family of what goes on in the drum. */
const LOOKS: Partial<Record<string, DrawnFamily>> = {
  bloom: "bloom",
  acid: "acid",
  sugar: "drawn",
  char: "char",
  soak: "other",
};

/** What it cost so far. */
const Cost = ({ page }: { readonly page: BatchPage }) => {
  const { farm } = page;
  return (
    <Part title="Cost">
      <p className="mb-3">
        <span className="reading text-2xl font-semibold">{sayMoney(page.cost.totalMinor, farm.currency)}</span>
        {page.cost.perLMinor === null ? (
          <span className="text-soft">
            {" "}
            so far; what each {farm.units === "us" ? "gallon" : "litre"} cost comes with the yield
          </span>
        ) : (
          <span className="text-soft"> or {sayPricePer(page.cost.perLMinor, "L", farm.currency, farm.units)}</span>
        )}
      </p>
      <CostMeasure cost={page.cost} currency={farm.currency} label="Cost" />
    </Part>
  );
};

/** What to mind with it. */
const Mind = ({ page }: { readonly page: BatchPage }) => (
  <Part title="Safety">
    <div className="grid gap-2">
      {page.inherited.map((caution) => (
        <Notice key={`from ${caution}`} tone="caution" title="From what it was made with">
          {caution}
        </Notice>
      ))}
      <Cautions cautions={page.cautions} />
      <p className="text-[0.9rem] text-soft">
        Follow local law, your certifier and qualified electricians first. <BookText>{page.sureness}</BookText>
      </p>
    </div>
  </Part>
);

/** How it was tended, how it looks, what earlier ones did. */
const Course = ({ page, running }: { readonly page: BatchPage; readonly running: boolean }) => {
  const { batch, farm: clock } = page;
  const family = LOOKS[page.looks];
  return (
    <>
      {page.progress.tending.length > 0 || page.progress.stages.length > 0 ? (
        <Part title="Stages and care">
          <Tending
            batch={{ id: batch.id, seal: batch.seal }}
            progress={{ stages: page.progress.stages, tending: page.progress.tending }}
            people={page.people}
            shares={page.shares}
            running={running}
            clock={clock}
          />
        </Part>
      ) : null}
      <Part title="Photos">
        <Photos
          batchId={batch.id}
          startedMs={batch.startedMs}
          photos={page.progress.photos}
          looks={family ? <DrawnLooks family={family} id={`b${batch.id}`} /> : null}
          running={running}
          clock={clock}
        />
      </Part>
      {page.progress.earlier.length > 0 ? (
        <Part title="Earlier ones">
          <Earlier progress={page.progress} startedMs={batch.startedMs} clock={clock} />
        </Part>
      ) : null}
    </>
  );
};

/** What went in, what is in it, what it cost, what to mind. */
const MadeOf = ({ page }: { readonly page: BatchPage }) => (
  <div className="grid content-start gap-8">
    <Part title="Ingredients">
      <Lines page={page} />
      <div className="mt-2">
        <Origins page={page} />
      </div>
    </Part>
    {page.batch.closing.unit === "L" ? (
      <Part title="Nutrients">
        <InIt page={page} />
      </Part>
    ) : null}
    <Cost page={page} />
    <Mind page={page} />
  </div>
);

/** What the residues' list wants of the page. */
const residuePageOf = ({ residues, farm, nowMs, batch }: BatchPage): ResiduePage => ({
  residues,
  farm,
  nowMs,
  batch: { id: batch.id, closing: { residues: batch.closing.residues } },
});

/** What the sheets over the page want of it. */
const deskPageOf = ({ vesselName, nowMs, farm, later, batch, progress }: BatchPage): DeskPage => ({
  vesselName,
  nowMs,
  farm,
  later,
  batch: briefOf(batch),
  meter: progress.meter,
});

/** One batch: the vessel large, its ribbon and past on one axis, the log, what went in, what it cost, what came of it. */
export const BatchScreen = ({
  page,
  startWith = null,
  isWholeLog = false,
}: {
  readonly page: BatchPage;
  readonly startWith?: OpenSheet;
  readonly isWholeLog?: boolean;
}) => {
  const { farm } = page;
  const running = page.close === null;
  return (
    <BatchDesk page={deskPageOf(page)} startWith={startWith}>
      <div className="mx-auto max-w-[1240px] px-4 py-5">
        <BatchHead page={page} running={running} />
        <OverTime page={page} />
        <div className="mt-6 grid grid-cols-1 gap-x-10 gap-y-8 md:grid-cols-2">
          <div className="grid min-w-0 grid-cols-1 content-start gap-8">
            <Part title="Log">
              {page.log.length === 0 ? (
                <p className="text-soft">Nothing logged yet. Smell it or measure pH.</p>
              ) : (
                <LogList batchId={page.batch.id} log={page.log} isWhole={isWholeLog} clock={farm} units={farm.units} />
              )}
            </Part>
            <Course page={page} running={running} />
            {page.close || page.stores.length > 0 ? <Outcome page={page} /> : null}
            {(page.close && page.close.kind !== "taken-back") || page.residues.length > 0 ? (
              <Part title="What was left">
                <Residues page={residuePageOf(page)} />
              </Part>
            ) : null}
          </div>
          <MadeOf page={page} />
        </div>
      </div>
    </BatchDesk>
  );
};
