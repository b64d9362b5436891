import type { Claim, Evidence } from "@/core/book/claims";
import { BookText } from "../kit/BookText";

const EVIDENCE: Readonly<Record<Evidence, { readonly mark: string; readonly words: string; readonly tone: string }>> = {
  wrong: { mark: "✕", words: "not true", tone: "text-rust" },
  none: { mark: "○", words: "not proven", tone: "text-rust" },
  mixed: { mark: "◐", words: "trials disagree", tone: "text-ink" },
};

/** What people say of inputs, each marked with what is known: never as a fact. */
export const Claims = ({ claims }: { readonly claims: readonly Claim[] }) => (
  <ul className="grid gap-3">
    {claims.map(({ id, said, evidence, known }) => (
      <li key={id}>
        <span className={`font-semibold ${EVIDENCE[evidence].tone}`}>
          <span aria-hidden>{EVIDENCE[evidence].mark}</span> {EVIDENCE[evidence].words}
        </span>{" "}
        <q className="text-soft">{said}</q>
        <br />
        <BookText>{known}</BookText>
      </li>
    ))}
  </ul>
);
