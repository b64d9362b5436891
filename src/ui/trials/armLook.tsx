import type { TrialTerms } from "@/core/trial/farm";
import { inText } from "@/formats/grammar";

/** How strips are told apart by what they get: colour is never alone. */
export const ArmPatterns = () => (
  <defs>
    <pattern id="arm-with" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="7" height="7" fill="var(--marigold-wash)" />
      <path d="M0 0V7" stroke="var(--leaf)" strokeWidth="4" />
    </pattern>
    <pattern id="arm-second" width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" fill="var(--chalk)" />
      <circle cx="4" cy="4" r="2.4" fill="var(--blue)" />
    </pattern>
    <pattern id="arm-third" width="8" height="8" patternUnits="userSpaceOnUse">
      <rect width="8" height="8" fill="var(--chalk)" />
      <path d="M0 4H8M4 0V8" stroke="var(--rust)" strokeWidth="1.6" />
    </pattern>
  </defs>
);
export const armFill = (arm: string | null): string =>
  arm === null ? "var(--limewash)" : arm === "without" ? "var(--chalk)" : `url(#arm-${arm})`;

/** What an arm is called. */
export const armName = (arm: string, { inputs }: Pick<TrialTerms, "inputs">): string => {
  const input = inputs.find((one) => one.arm === arm);
  return input ? `with ${inText(input.name)}` : "without";
};

/** The arms with their looks, beside a drawing. */
export const ArmKey = ({ terms }: { readonly terms: TrialTerms }) => (
  <ul className="mt-1 flex flex-wrap gap-x-5 gap-y-1 text-[0.9rem]" aria-label="What the strips get">
    {[...terms.inputs.map(({ arm }) => arm), "without"].map((arm) => (
      <li key={arm} className="flex items-center gap-2">
        <svg width="26" height="16" aria-hidden>
          <rect x="1" y="1" width="24" height="14" fill={armFill(arm)} stroke="var(--ink)" strokeWidth="1.5" />
        </svg>
        {armName(arm, terms)}
      </li>
    ))}
  </ul>
);
