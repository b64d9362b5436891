import { SURENESS_WORDS, type SureLine } from "@/words/said";
import { Fold } from "./Fold";

/** Where figures come from, and which are exact and which rough. */
export const HowSure = ({ lines }: { readonly lines: readonly SureLine[] }) => (
  <Fold title="How sure are these figures?">
    <dl className="grid gap-2">
      {lines.map(({ figure, sure, because }) => (
        <div key={figure}>
          <dt className="font-semibold">
            {figure}:{" "}
            <span className={sure === "exact" ? "" : "border-b-2 border-dotted border-ink"}>
              {SURENESS_WORDS[sure]}
            </span>
          </dt>
          <dd className="text-[0.95rem]">{because}</dd>
        </div>
      ))}
    </dl>
  </Fold>
);
