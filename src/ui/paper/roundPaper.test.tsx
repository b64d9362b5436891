import { screen, within } from "@testing-library/react";
import { paperNamed } from "@/core/paper/papers";
import type { RoundTask } from "@/services/yard/roundTask";
import { at, fakeActions, FARM, NOW_MS, renderWith } from "@/testing/views";
import { RoundPaper } from "./RoundPaper";

jest.mock("next/navigation", () => ({
  useRouter: () => ({ replace: jest.fn() }),
  usePathname: () => "/paper/round",
  useSearchParams: () => new URLSearchParams(),
}));

const taskOf = (key: string, change: Partial<RoundTask>): RoundTask => ({
  key,
  dueMs: NOW_MS,
  title: "Drum: stir it",
  why: "",
  urgency: "now",
  does: "stir",
  on: "Blue drum",
  touch: { type: "log-act", batchId: 1, act: "stirred" },
  vesselOrder: 0,
  tomorrow: false,
  putOff: null,
  who: null,
  ...change,
});
const TASKS = [
  taskOf("1-stirred", { urgency: "late", who: "Ana" }),
  taskOf("2-close", { does: "strain", on: "Tote", urgency: "later", dueMs: at(3) }),
  taskOf("3-vented", { does: "let-gas-out", on: "Pail", urgency: "later", dueMs: at(22), tomorrow: true }),
];
const cards = () => screen.getAllByRole("listitem").map((card) => card.textContent);

describe("the round on paper", () => {
  it("says each drum by its name, what to do and when, in the language of whoever goes", () => {
    const paper = paperNamed("a4");
    renderWith(fakeActions(), <RoundPaper tasks={TASKS} farm={FARM} nowMs={NOW_MS} paper={paper} language="es" />);
    expect(cards()).toEqual([
      "Blue drum: removerAnaatrasado",
      "Tote: colar15:00",
      "Pail: dejar salir el gas despacio, apartar la caramañana 10:00",
    ]);
    // A picture stands on each, for who reads none of these.
    for (const card of screen.getAllByRole("listitem")) expect(card.querySelector("svg")).not.toBeNull();
    expect(within(screen.getByLabelText("Language")).getAllByRole("option")).toHaveLength(4);
  });
  it("says that nothing is due", () => {
    renderWith(
      fakeActions(),
      <RoundPaper tasks={[]} farm={FARM} nowMs={NOW_MS} paper={paperNamed("letter")} language="fr" />,
    );
    expect(screen.getByText("Rien à faire.")).toBeVisible();
  });
});
