import { PASSPHRASE_LEAST, PIN_LEAST, PIN_MOST, type Role } from "@/core/people/roles";
import { ROLE_WORDS } from "@/words/en/roles";
import type { DomainError } from "@/core/errors";
import type { Speech } from "../../speech";
import { DOMAIN } from "../domain";
import { NAME_THEM, sayReasonWanted, THINGS, type ReasonWanted, type Said, type Thing } from "./wanted";
import { counted, inText } from "@/formats/grammar";

/** What a request lacks or says wrongly, whatever it is about. */
export const OF_WHAT_IS_ASKED = {
  "not-found": ({ thing }: { thing: Thing }) => `There is no such ${THINGS[thing]}.`,
  "no-farm": () => "Set up the farm first.",
  "reason-needed": ({ because }: { because: ReasonWanted }, say: Speech): Said => sayReasonWanted(because, say),
  "domain": ({ error }: { error: Pick<DomainError, "code" | "params"> }, say: Speech) =>
    (DOMAIN[error.code] as (of: unknown, say: Speech) => string)(error.params, say),
  // Who may come in, and what each may do
  "may-not": ({ role, least }: { role: Role; least: Role }) =>
    `A ${ROLE_WORDS[role]} may not do this. Ask a ${ROLE_WORDS[least]}.`,
  "not-yours": ({ least }: { least: Role }) => `Somebody else wrote this. Ask them, or a ${ROLE_WORDS[least]}.`,
  "wrong-sign-in": () => "Name and passphrase do not fit together.",
  "wrong-passphrase": () => "This is not your passphrase.",
  "too-many-tries": ({ minutes }: { minutes: number }) =>
    `Too many wrong tries. Wait ${minutes} minutes, or ask a steward for an invitation.`,
  "passphrase-weak": ({ fault }: { fault: "short" | "name" | "alike" }) =>
    ({
      short: `Use at least ${PASSPHRASE_LEAST} letters: three or four words.`,
      name: "Do not use your name or the farm's.",
      alike: "Use more different letters: three or four words.",
    })[fault],
  "pin-weak": ({ fault }: { fault: "short" | "row" }) =>
    fault === "short" ? `A PIN has ${PIN_LEAST} to ${PIN_MOST} numbers.` : "Do not use 1111 or 1234.",
  "no-passkeys-here": () =>
    "Passkeys work where the farm has a name and a safe connection, not by a bare address. Sign in by name and passphrase.",
  "phone-is-shared": () => "This phone is shared. Add a passkey on a device of your own.",
  "passkey-too-late": () => "That took too long. Begin again.",
  "passkey-unfit": () => "This device’s passkey does not fit here. Try another device.",
  "wrong-passkey": () => "This passkey opens nothing here. Sign in by name and passphrase.",
  "wrong-pin": ({ left }: { left: number }) =>
    `Wrong PIN. ${counted(left, { one: "One more try", other: "# more tries" })}, then this phone is signed out.`,
  "phone-signed-out": () => "Too many wrong PINs: this phone is signed out. Sign in with a passphrase.",
  "no-invitation": () => "This code is not good, or not any more. Ask a steward for another.",
  "claimed-already": () => "Somebody can sign in already. Ask a steward for an invitation.",
  "not-shared": () => "This device is not shared.",
  "pin-first": () => "Set your PIN first: you come back by it.",
  "last-steward": () => "A farm has one steward at least. Make somebody else a steward first.",
  "undone-already": () => "This is undone already.",
  "sent-before": () => "This was saved already, as it was first sent. Load the page anew and correct it there.",

  // Moments and days
  "in-future": () => "This lies in the future.",
  "harvest-before-planting": () => "It can’t be picked before it is planted.",
  "harvest-ends-early": () => "The harvest can’t end before it begins.",
  "ended-before-planting": () => "It can’t be cleared before it is planted.",
  "shares-do-not-match": ({ plots, shares }: { plots: number; shares: number }) =>
    `${shares} shares were sent for ${plots} plots. Load the page again.`,
  "use-not-of-method": ({ method }: { method: string }) =>
    `There is no known use of ${inText(method)}. Choose another.`,
  "day-ahead": () => "This date is in the future.",
  "day-over": () => "This date is in the past. Choose today or later.",
  "before-start": () => "This lies before the batch was started.",
  "too-long-ago": () => "That is more than two months ago.",
  "not-there-yet": () => "It had not come in on that day.",
  "received-ahead": () => "A lot can't come in on a day that has not been.",
  "expires-early": () => "The use-by date is before the date received.",
  "opened-early": () => "It was opened before it was received. Check both dates.",
  "collected-backwards": () => "Collecting can't end before it began.",
  "not-made-yet": () => "It was not made by then.",
  "no-time-zone": ({ zone }: { zone: string }) => `"${zone}" is not a time zone.`,
  "no-date": () => "A date such as 2031-03-02.",

  // What is asked and was not said
  "needed": () => "Fill this in.",
  "which-water": () => "Choose the water.",
  "which-water-thins": () => "Choose the water for dilution.",
  "which-plants": () => NAME_THEM,
  "which-vessel": () => "Which vessel is it in?",
  "strain-first": ({ meshMm }: { meshMm: number }, say: Speech) =>
    `Strain it to ${say.number(meshMm)} mm, look that no leaf is in it and that the nozzle drips evenly; then tick this.`,
  "which-rinse": () => "Where did the rinse go?",
  "rinse-over-yield": () => "What came off has the rinse in it: it can't be less than the rinse.",
  "what-was-seen": () => "Say what you see, write a note, or take a picture.",
  "which-entry": () => "Say which entry is withdrawn.",
  "which-answer": () => "Which is it?",
  "how-many-kg": () => "How many kilograms?",
  "yield-kg": () => "How many kilograms came off?",
  "yield-l": () => "How much came off?",
  "how-much-went-in": () => "How much went in?",
  "how-the-ball-holds": () => "Press a handful to a ball: how does it hold?",
  "what-has-changed": () => "What has changed? It is kept with the record.",
  "one-strip-field": () => "Read at least one of the two fields of the strip.",
  "both-ends": () => "Give both ends, or neither.",
  "ends-crossed": () => "The warmest is cooler than the coolest.",
  "injector-ratio": () => "An injector needs its ratio: parts of water to one of stock.",
  "nothing-goes-in": () => "Add at least one ingredient.",
  "nothing-went-in": () => "Nothing has gone in.",
  "used-in-batch-only": () => "A tool is used in a batch, and only used there.",
  "no-such-word": () => "A handful of it is not judged by such a word.",
  "same-as-before": () => "That is what it says already.",

  // Names
  "name-taken": ({ name }: { name: string }) => `There is a "${name}" already.`,
  "name-of-book": ({ name }: { name: string }) => `Ruchka knows ${inText(name)} already: add stock of it.`,
  "name-of-device": ({ name }: { name: string }) =>
    `“${name}” is a sensor that sends by itself. Give the logger another name.`,
  "name-of-unit": ({ name }: { name: string }) =>
    `"${name}" is a unit already. Call ours something else: big ${name}, tin ${name}.`,
  "farm-set-up": () => "This farm is set up already. Reload the page.",
} as const satisfies Record<string, (params: never, say: Speech) => Said>;
