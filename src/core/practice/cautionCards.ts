import { findMethod, METHODS } from "../book";
import { CAUTIONS, type CautionId } from "../book/cautions";
import { chanceFrom } from "../chance";

/** One question: which of three cautions belongs to a method. */
export interface CautionCard {
  readonly methodId: string;
  readonly options: readonly CautionId[];
  readonly right: CautionId;
}

/** The card of a seed; the two wrong ones are of other methods. */
export function drawCautionCard(seed: number): CautionCard {
  const chance = chanceFrom(seed * 5851 + 3);
  const pickOne = <T>(items: readonly T[]): T => items[Math.floor(chance.uniform() * items.length)]!;
  const withCautions = METHODS.filter(({ cautions }) => cautions.length > 0);
  const { id } = pickOne(withCautions);
  const own = findMethod(id).cautions;
  // What holds for nearly all of them teaches nothing as a wrong answer.
  const rare = own.filter(
    (caution) => withCautions.filter(({ cautions }) => cautions.includes(caution)).length <= withCautions.length / 2,
  );
  const right = pickOne(rare.length > 0 ? rare : own);
  const others = (Object.keys(CAUTIONS) as CautionId[]).filter((caution) => !own.includes(caution));
  const first = pickOne(others);
  const second = pickOne(others.filter((caution) => caution !== first));
  const options = [right, first, second].map((caution) => [chance.uniform(), caution] as const);
  return { methodId: id, right, options: options.toSorted((a, b) => a[0] - b[0]).map(([, caution]) => caution) };
}
