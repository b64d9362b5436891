"use client";
import { create } from "qrcode";
import { useState } from "react";
import { fullDate } from "@/formats/times";
import type { AccessView } from "@/services/access";
import type { FarmView } from "@/services/farm";
import { useFarmAct } from "../acts/farm";
import { Button } from "../kit/Button";
import { Notice } from "../kit/Notice";
import { Sheet } from "../kit/Sheet";
import { Refusal } from "../kit/Refusal";
import { Code } from "../paper/Code";
import { JOIN_HASH } from "./SignInScreen";

interface Invitation {
  readonly code: string;
  readonly untilMs: number;
}

function codeOf(link: string): { size: number; dark: boolean[] } {
  const { modules } = create(link, { errorCorrectionLevel: "M" });
  return { size: modules.size, dark: [...modules.data].map((bit) => bit === 1) };
}

/** A way in for somebody: made by one tap, shown this once, to be read off, photographed or printed. */
export const InviteSheet = ({
  person,
  farm,
  onClose,
}: {
  readonly person: AccessView["people"][number];
  readonly farm: FarmView;
  readonly onClose: () => void;
}) => {
  const act = useFarmAct("invitePerson");
  const [made, setMade] = useState<Invitation | null>(null);
  const link = made ? `${window.location.origin}/${JOIN_HASH}${made.code}` : "";
  return (
    <Sheet
      open
      onClose={onClose}
      title={`A way in for ${person.name}`}
      foot={
        made ? (
          <Button variant="strong" onClick={() => window.print()}>
            Print
          </Button>
        ) : (
          <Button
            variant="strong"
            disabled={act.busy}
            onClick={() => void act.run({ personId: person.id }).then(setMade)}
          >
            Make an invitation
          </Button>
        )
      }
    >
      <div className="grid gap-4">
        <Refusal error={act.error} />
        {made ? (
          <>
            <p>
              {person.name} opens {farm.name}, taps “I have an invitation”, and types this code. Then a passphrase of
              their own.
            </p>
            <p
              className="reading text-center text-3xl font-semibold"
              aria-label={`Code ${made.code.split("").join(" ")}`}
            >
              {made.code}
            </p>
            <div className="mx-auto w-56">
              <Code code={codeOf(link)} label={`Link of the invitation of ${person.name}`} />
            </div>
            <p className="break-all text-center text-[0.9rem]">{link}</p>
            <Notice tone="caution" title="It is shown this once.">
              Good once, until {fullDate(new Date(made.untilMs), farm)}. Whoever has it comes in as {person.name}.
            </Notice>
          </>
        ) : (
          <p>
            {person.canSignIn
              ? "Where a passphrase or a phone is lost: a new invitation. As it is used, the old passphrase is gone and all their devices are signed out."
              : "An invitation lets them set a passphrase of their own. Nobody else knows it."}
          </p>
        )}
      </div>
    </Sheet>
  );
};
