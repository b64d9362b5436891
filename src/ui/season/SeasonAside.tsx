"use client";
import { handsNamed } from "@/core/plan/hand/people";
import type { SeasonView } from "@/services/season";
import { Fold } from "../kit/Fold";
import { BatchPanel } from "./BatchPanel";
import { ChangeList } from "./ChangeList";
import { seasonSpeech } from "./seasonSpeech";
import { TakeAlong } from "./TakeAlong";
import { UnmetList } from "./UnmetList";
import type { SeasonHands } from "./useSeason";
import { WeekList } from "./WeekList";
import { WhatIf } from "./WhatIf";
import { YearsPanel } from "./YearsPanel";

interface SeasonAsideProps {
  readonly view: SeasonView;
  readonly hands: SeasonHands;
  readonly week: number;
  readonly onWeek: (week: number) => void;
}

const Guessed = ({ view: { assumed, names } }: Pick<SeasonAsideProps, "view">) =>
  assumed.length === 0 ? null : (
    <Fold title="What was guessed" stands={String(assumed.length)}>
      <ul className="list-disc pl-5 text-[0.92rem]">
        {assumed.map((one) => (
          <li key={JSON.stringify(one)}>
            {one.code === "supply-guessed"
              ? `${names.ingredients[one.ingredientId] ?? one.ingredientId}: how it is bought is not said; two days are taken.`
              : one.code === "gathering-guessed"
                ? `${names.ingredients[one.ingredientId] ?? one.ingredientId}: how much can be gathered in a week is guessed.`
                : `${names.inputs[one.methodId] ?? one.methodId}: left out, as it is no liquid or has no usual amount.`}
          </li>
        ))}
      </ul>
    </Fold>
  );

/** Beside the drawing: the chosen batch, the week, what goes unmet, what would be if. */
export const SeasonAside = ({ view, hands, week, onWeek }: SeasonAsideProps) => {
  const { names, farm } = view;
  const { season, shown, score, hand, planner } = hands;
  const { held } = hand;
  const say = seasonSpeech(season, names, farm.units, shown.body.batches);
  const chosen = shown.body.batches.find(({ id }) => id === hand.selected) ?? null;
  return (
    <div className="order-1 grid min-w-0 content-start gap-6 lg:order-2">
      {chosen ? (
        <BatchPanel
          season={season}
          plan={shown.body}
          batch={chosen}
          names={names}
          farm={farm}
          units={farm.units}
          say={say}
          move={held && held.batch.id === chosen.id ? held : null}
          isPinned={hands.pins.has(chosen.id)}
          mayTake={view.mayTake}
          onShift={(days) =>
            hand.move(chosen, (held?.startDay ?? chosen.startDay) + days, held?.vessel ?? chosen.vessel)
          }
          onStretch={(days) =>
            hand.move(
              chosen,
              held?.startDay ?? chosen.startDay,
              held?.vessel ?? chosen.vessel,
              Math.max(chosen.readyDay - chosen.emptyDay, (held?.longerD ?? 0) + days),
            )
          }
          onVessel={(vessel) => hand.move(chosen, held?.startDay ?? chosen.startDay, vessel)}
          onPutBack={hand.putBack}
          onKeep={hands.planAround}
          onPin={() => hands.pin(chosen.id)}
          onForbid={(how) => void hands.forbid(chosen, how)}
          onClose={() => hand.select(null)}
        />
      ) : null}
      {view.plan && !shown.isTaken && !planner.progress ? (
        <ChangeList season={season} names={names} before={view.plan.batches} after={shown.body.batches} />
      ) : null}
      <WeekList
        season={season}
        plan={shown.body}
        names={names}
        units={farm.units}
        week={week}
        weekMin={score.weekMin}
        people={view.people}
        hands={handsNamed(view.terms.hands)}
        onWeek={onWeek}
        onBatch={hand.select}
      />
      {shown.found ? <UnmetList season={season} names={names} unmet={shown.found.unmet} say={say} /> : null}
      {season.needs.length > 0 && !planner.progress ? (
        <>
          <WhatIf season={season} plan={shown.body} farm={farm} />
          <YearsPanel season={season} plan={shown.body} cost={score.cost} farm={farm} say={say} onShow={hands.show} />
        </>
      ) : null}
      <TakeAlong view={view} />
      <Guessed view={view} />
    </div>
  );
};
