"use client";
import { Download } from "lucide-react";
import { clsx } from "clsx";
import { useRouter } from "next/navigation";
import { groupBy } from "@/core/groupBy";
import { clockTime, isoDay, longWeekday, sayDay } from "@/formats/times";
import type { HistoryLineView, HistoryView } from "@/services/history";
import type { TakenBackKind, ThingFacts, ThingKind } from "@/services/types";
import { HISTORY_PART_WORDS, sayHistory } from "@/words/said";
import { useUndoAct } from "../acts/undo";
import { Button, buttonClass } from "../kit/Button";
import { SelectField, TextField } from "../kit/fields";
import { Link } from "../kit/Link";
import { told } from "../kit/told";
import { FarmNav, thingHref } from "./FarmNav";
import { useThing } from "./useThing";

export interface HistoryFilter {
  readonly part: string;
  readonly person: string;
  readonly day: string;
}

const HOUR_MS = 3_600_000;

/** Where a mistake in it is put right. */
function placeOf({ code, batchId, plotId, itemId, word }: HistoryLineView): string | null {
  if (code === "changed") return word === "farm" ? "/farm" : thingHref(word as ThingKind);
  if (code === "added") return thingHref(word as ThingKind);
  if (code === "applied" || code === "application-undone") return plotId === null ? "/field" : `/field/plots/${plotId}`;
  if (batchId !== null) return `/batches/${batchId}`;
  if (plotId !== null) return `/field/plots/${plotId}`;
  if (itemId !== null) return `/shed?item=${itemId}`;
  const places: Partial<Record<HistoryLineView["code"], string>> = {
    "planned": "/shed/shopping",
    "plan-ended": "/shed/shopping",
    "water-read": "/shed#water",
    "water-treated": "/shed#water",
    "equipment": "/shed/equipment",
    "gathered": "/shed/gathering",
    "worm-bin": "/shed/gathering",
    "schedule": "/field/programmes",
    "job": "/field/jobs",
    "recipe": "/book",
  };
  return places[code] ?? null;
}

/** A change of what was set up goes back by one tap, as a later change that says so. */
const ChangeBack = ({ line }: { readonly line: HistoryLineView }) => {
  const kind = line.word as ThingKind;
  const { busy, save } = useThing(kind);
  const { state: _state, ...was } = line.extra.was as ThingFacts;
  if (Object.keys(was).length === 0) return null;
  return (
    <Button
      variant="quiet"
      disabled={busy}
      aria-label={`Change back: ${line.subject}`}
      onClick={() =>
        void save(Number(line.extra.thingId), was).then((done) =>
          done ? told(`${line.subject} is as it was.`) : told("It can’t be changed back: change it by hand."),
        )
      }
    >
      Change back
    </Button>
  );
};

/** A plan is named by itself, all else by its own line. */
const UndoLine = ({
  line,
  kind,
  said,
}: {
  readonly line: HistoryLineView;
  readonly kind: TakenBackKind;
  readonly said: string;
}) => {
  const { busy, run } = useUndoAct("takeBack", "toast");
  return (
    <Button
      variant="quiet"
      disabled={busy}
      aria-label={`Undo: ${said}`}
      onClick={() => void run({ rows: [{ kind, id: line.id }] }).then((done) => done && told("Undone."))}
    >
      Undo
    </Button>
  );
};

const Line = ({ line, view }: { readonly line: HistoryLineView; readonly view: HistoryView }) => {
  const { farm } = view;
  const href = placeOf(line);
  const late = line.addedMs - line.atMs > HOUR_MS;
  const said = sayHistory(line.code, line, farm.units);
  return (
    <li className="grid grid-cols-[3.6rem_1fr_auto] items-baseline gap-x-3 py-1.5">
      <span className="reading text-soft">{clockTime(new Date(line.addedMs), farm)}</span>
      <span className="min-w-0">
        {href ? (
          <Link
            href={href}
            className={clsx(
              "decoration-2 underline-offset-4 hover:decoration-ink",
              line.isUndone ? "line-through" : "underline decoration-line",
            )}
          >
            {said}
          </Link>
        ) : (
          <span className={clsx(line.isUndone && "line-through")}>{said}</span>
        )}
        {line.isUndone ? <span className="text-[0.88rem] text-soft"> undone</span> : null}
        <span className="block text-[0.88rem] text-soft">
          {line.actorName}
          {late
            ? `; happened ${sayDay(isoDay(new Date(line.atMs), farm))}, ${clockTime(new Date(line.atMs), farm)}`
            : ""}
        </span>
      </span>
      {line.code === "changed" && line.word !== "farm" ? (
        <ChangeBack line={line} />
      ) : line.undo ? (
        <UndoLine line={line} kind={line.undo} said={said} />
      ) : (
        <span />
      )}
    </li>
  );
};

/** Who wrote what, and when: all of it, or of one person, one part of the farm, one day. */
export const HistoryScreen = ({ view, filter }: { readonly view: HistoryView; readonly filter: HistoryFilter }) => {
  const router = useRouter();
  const to = (change: Partial<HistoryFilter> & { readonly before?: string; readonly skip?: string }) => {
    const { before, skip, ...next } = { ...filter, ...change };
    const query = new URLSearchParams(
      Object.entries({ ...next, before: before ?? "", skip: skip ?? "" }).filter(([, value]) => value !== ""),
    );
    return `/farm/history?${query.toString()}`;
  };
  const go = (change: Partial<HistoryFilter>) => router.push(to(change), { scroll: false });
  const days = groupBy(view.lines, ({ addedMs }) => isoDay(new Date(addedMs), view.farm));
  return (
    <div className="px-4 py-5 md:px-8">
      <h1 className="text-2xl">History</h1>
      <FarmNav here="/farm/history" />
      <div className="mt-4 grid max-w-3xl grid-cols-2 gap-3 sm:grid-cols-3">
        <SelectField label="Part" value={filter.part} onChange={(event) => go({ part: event.target.value })}>
          <option value="">All</option>
          {Object.entries(HISTORY_PART_WORDS).map(([part, words]) => (
            <option key={part} value={part}>
              {words}
            </option>
          ))}
        </SelectField>
        <SelectField label="Person" value={filter.person} onChange={(event) => go({ person: event.target.value })}>
          <option value="">Everyone</option>
          {view.people.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </SelectField>
        <TextField label="Day" type="date" value={filter.day} onChange={(event) => go({ day: event.target.value })} />
      </div>
      <a
        href={`/api/farm/history?${new URLSearchParams({ ...filter }).toString()}`}
        download
        className="thumb mt-2 inline-flex items-center gap-2 underline"
      >
        <Download aria-hidden className="size-5" /> These entries as CSV
      </a>
      {view.lines.length === 0 ? <p className="mt-4 text-soft">Nothing was logged.</p> : null}
      <div className="mt-4 grid max-w-3xl gap-5">
        {[...days].map(([day, lines]) => (
          <section key={day} aria-label={sayDay(day)}>
            <h2 className="text-lg">
              {longWeekday(new Date(lines[0]!.addedMs), view.farm)}, {sayDay(day)}
            </h2>
            <ul className="divide-y divide-line border-y border-line">
              {lines.map((line) => (
                <Line key={`${line.code}-${line.word}-${line.id}`} line={line} view={view} />
              ))}
            </ul>
          </section>
        ))}
      </div>
      {view.older ? (
        <Link
          href={to({ before: String(view.older.before), skip: String(view.older.skip) })}
          className={`mt-5 ${buttonClass("plain")}`}
        >
          Older entries
        </Link>
      ) : null}
    </div>
  );
};
