"use client";
import type { Season } from "@/core/plan/season";
import { counted } from "@/formats/grammar";
import type { SeasonNames } from "@/words/said";
import { SEASON_REASONS, sayMend, saySeasonReason, type SeasonSpeech } from "@/words/said";
import { Fold } from "../kit/Fold";
import type { UnmetTold } from "./planTalk";
import { sayDate } from "./seasonSpeech";

interface UnmetListProps {
  readonly season: Season;
  readonly names: SeasonNames;
  readonly unmet: readonly UnmetTold[];
  readonly say: SeasonSpeech;
}
interface Group {
  readonly key: string;
  readonly input: string;
  readonly members: UnmetTold[];
}
const inputOf = (season: Season, needId: string): string => {
  const need = season.needs.find(({ id }) => id === needId)!;
  return season.programmes.find(({ id }) => id === need.programme)!.input;
};
/** What is missing of one input for the same reasons stands together. */
function grouped(season: Season, unmet: readonly UnmetTold[]): Group[] {
  const groups = new Map<string, Group>();
  for (const one of unmet) {
    const input = inputOf(season, one.need);
    const key = `${input}|${one.mode}|${one.reasons.join()}`;
    const group = groups.get(key) ?? { key, input, members: [] };
    group.members.push(one);
    groups.set(key, group);
  }
  return [...groups.values()].toSorted((one, other) => other.members.length - one.members.length);
}

const GroupOf = ({ group, season, names, say }: { readonly group: Group } & Omit<UnmetListProps, "unmet">) => {
  const [first] = group.members;
  const mend = group.members.find((one) => one.mend)?.mend;
  const needs = group.members.map(({ need }) => season.needs.find(({ id }) => id === need)!);
  return (
    <li className="py-2">
      <p>
        <span className="font-semibold">
          {names.inputs[group.input]},{" "}
          {counted(group.members.length, { one: "one application", other: "# applications" })}
        </span>
        : {first!.reasons.map((reason) => SEASON_REASONS[reason]).join(first!.mode === "all" ? " and " : ", or ")}
      </p>
      {first!.facts.map((facts) => (
        <p key={facts.reason} className="text-[0.92rem] text-soft">
          {saySeasonReason(facts, say)}
        </p>
      ))}
      {mend ? (
        <p className="mt-1 text-[0.92rem]">
          <span className="font-semibold text-leaf">Could mend it:</span> {sayMend(mend, say)}.
        </p>
      ) : null}
      <Fold title="Which">
        <ul className="text-[0.92rem]">
          {needs.map((need) => (
            <li key={need.id}>
              {names.plots[need.planting]}, {sayDate(season, need.preferredDay)}
            </li>
          ))}
        </ul>
      </Fold>
    </li>
  );
};

/** What goes unmet: what this plan leaves out, and apart from it what no plan could meet. */
export const UnmetList = ({ season, names, unmet, say }: UnmetListProps) => {
  const parts = [
    { title: "Left out by this plan", list: unmet.filter(({ level }) => level === "competition") },
    { title: "No plan could meet", list: unmet.filter(({ level }) => level === "absolute") },
  ];
  return (
    <>
      {parts.map(({ title, list }) =>
        list.length === 0 ? null : (
          <section key={title} aria-label={title}>
            <h2 className="text-xl">
              {title} ({list.length})
            </h2>
            <ul className="divide-y divide-line border-y border-line">
              {grouped(season, list).map((group) => (
                <GroupOf key={group.key} group={group} season={season} names={names} say={say} />
              ))}
            </ul>
          </section>
        ),
      )}
    </>
  );
};
