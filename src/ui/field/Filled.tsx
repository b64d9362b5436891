import type { Filled } from "@/core/apply/brought";
import type { UnitSystem } from "@/formats/amounts";
import { sayGPerArea } from "@/formats/fieldUnits";
import { BROUGHT_WORDS, CEILING_WORDS } from "@/words/said";

const PIT = { w: 34, h: 44 };
/** From here on it is told in rust. */
const NEARLY = 0.75;

/** One thing that adds up, as a pit filled from below against its rim. */
const Pit = ({ share }: { readonly share: number }) => {
  const level = Math.min(1, share) * (PIT.h - 4);
  const color = share >= NEARLY ? "var(--rust)" : "var(--brew)";
  return (
    <svg aria-hidden width={PIT.w} height={PIT.h} viewBox={`0 0 ${PIT.w} ${PIT.h}`} className="shrink-0">
      <path d={`M0 4h6v${PIT.h - 6}h22v-${PIT.h - 6}h6`} fill="none" stroke="var(--ink)" strokeWidth={2} />
      <rect x={7} y={PIT.h - 3 - level} width={20} height={level} fill={color} />
      <line x1={6} x2={28} y1={4} y2={4} stroke="var(--ink)" strokeDasharray="3 2" />
    </svg>
  );
};

/** Less than this of a ceiling is not drawn. */
const DRAWN_FROM = 0.01;

/** What the last twelve months brought to a plot, each against the most that it should get, with where that figure comes from. */
export const FilledBy = ({ filled, units }: { readonly filled: readonly Filled[]; readonly units: UnitSystem }) => {
  const drawn = filled.filter(({ share }) => share >= DRAWN_FROM);
  const rest = filled.filter((one) => !drawn.includes(one)).map(({ what }) => BROUGHT_WORDS[what]);
  return (
    <section aria-labelledby="brought">
      <h2 id="brought" className="text-xl">
        What adds up
      </h2>
      <p className="text-soft">Brought in twelve months, against the most that it should get.</p>
      <ul>
        {drawn.map(({ what, gPerM2, ceilingGPerM2, share, source }) => (
          <li key={what} className="flex items-center gap-3 border-b border-line py-1.5">
            <Pit share={share} />
            <span className="min-w-0 grow">
              <b>{BROUGHT_WORDS[what]}</b>{" "}
              <span className={`reading ${share >= NEARLY ? "font-semibold text-rust" : ""}`}>
                {sayGPerArea(gPerM2, units)} of {sayGPerArea(ceilingGPerM2, units)}
              </span>
              <span className="block text-[0.85rem] text-soft">{CEILING_WORDS[source]}</span>
            </span>
          </li>
        ))}
      </ul>
      {rest.length > 0 ? <p className="py-1">Less than a hundredth of the most: {rest.join(", ")}.</p> : null}
      <p className="pt-1 text-[0.85rem] text-soft">
        Worked out from what went into the batches, so about right; a laboratory’s figures for a batch make it better.
        Only what was written down here counts.
      </p>
    </section>
  );
};
