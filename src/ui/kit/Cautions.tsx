import {
  Baby,
  Biohazard,
  Droplets,
  FlaskConical,
  Flame,
  GlassWater,
  Hand,
  Milk,
  Mountain,
  Skull,
  Sprout,
  Weight,
  Wind,
  Zap,
  type LucideIcon,
} from "lucide-react";
import { CAUTIONS, type CautionId } from "@/core/book/cautions";
import { CAUTIONS_SHOWN } from "@/core/safety/cautionsFor";
import { BookText } from "./BookText";
import { counted } from "@/formats/grammar";

/** A picture for each caution, understood without reading; on screens, cards and labels alike. */
export const CAUTION_ICONS: Partial<Record<CautionId, LucideIcon>> = {
  "electricity-at-water": Zap,
  "gas-pressure": Wind,
  "tank-gas": Wind,
  "acid-gas": Wind,
  "breathable-lid": Wind,
  "manure": Biohazard,
  "urine": Biohazard,
  "wounds": Hand,
  "acid-hands": Hand,
  "strong-vinegar": FlaskConical,
  "caustic-ash": Hand,
  "hot-pan": Flame,
  "root-burn": Droplets,
  "leaf-eaten-soon": Sprout,
  "sugar-regrowth": Sprout,
  "nicotine": Skull,
  "poisonous-plants": Skull,
  "shellfish": FlaskConical,
  "shell-dust": Mountain,
  "char-dust": Mountain,
  "milk": Milk,
  "drowning": Baby,
  "lifting": Weight,
  "not-for-people": GlassWater,
};

const Line = ({ caution }: { readonly caution: CautionId }) => {
  const Icon = CAUTION_ICONS[caution];
  return (
    <li className="flex gap-2.5 border-l-4 border-marigold bg-marigold-wash px-3 py-2 text-[0.95rem]">
      {Icon ? <Icon aria-hidden className="mt-0.5 size-5 shrink-0" /> : <span aria-hidden>▲</span>}
      <span>
        <BookText>{CAUTIONS[caution]}</BookText>
      </span>
    </li>
  );
};

/** What matters most for this work is in sight; the rest is folded, so that what is read is read. */
export const Cautions = ({ cautions }: { readonly cautions: readonly CautionId[] }) => {
  const rest = cautions.slice(CAUTIONS_SHOWN);
  if (cautions.length === 0) return null;
  return (
    <div className="grid gap-2">
      <ul className="grid gap-2">
        {cautions.slice(0, CAUTIONS_SHOWN).map((caution) => (
          <Line key={caution} caution={caution} />
        ))}
      </ul>
      {rest.length > 0 ? (
        <details>
          <summary className="min-h-11 cursor-pointer py-2 font-semibold">
            {counted(rest.length, { one: "One more safety note", other: "# more safety notes" })}
          </summary>
          <ul className="grid gap-2">
            {rest.map((caution) => (
              <Line key={caution} caution={caution} />
            ))}
          </ul>
        </details>
      ) : null}
    </div>
  );
};
