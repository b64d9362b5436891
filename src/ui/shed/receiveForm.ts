import type { ANIMALS, CHAR_SOURCES, DUNG_AGES, URINE_DONORS } from "@/core/safety/provenance";

/** What is asked of a lot's origin, as typed. */
export interface ProvenanceForm {
  animal: (typeof ANIMALS)[number];
  age: (typeof DUNG_AGES)[number];
  donor: (typeof URINE_DONORS)[number];
  collectedFrom: string;
  collectedUntil: string;
  medicine: boolean;
  charSource: (typeof CHAR_SOURCES)[number];
  herbicideSuspected: boolean;
  storedHot: boolean;
  rice: string;
  rinse: string;
  /** Which plants they are, and where they grew. */
  species: string;
  pickedAt: string;
  plantReason: string;
}

/** A lot that comes in, as typed. */
export interface ReceiveForm extends ProvenanceForm {
  itemId: string;
  amount: string;
  origin: "bought" | "foraged" | "home-made" | "given";
  receivedOn: string;
  cost: string;
  expiresOn: string;
  opened: boolean;
  place: string;
  note: string;
}
