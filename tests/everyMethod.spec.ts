/** What Ruchka proposes it takes: every method filled as proposed, in vessels of odd sizes, on a farm in litres and on one in gallons. */
import { expect, test } from "./harness/farm";
import { WORKSHOP } from "./harness/workshop";

for (const [units, farmKind] of [
  ["metric", "workshop"],
  ["us", "workshop-us"],
] as const)
  test.describe(() => {
    test.use({ farmKind });
    test(`every method is filled as proposed, on a farm that talks ${units}`, async ({ page }) => {
      for (const [index, { methodId, methodName, name, litres }] of WORKSHOP[units].entries()) {
        await test.step(`${methodName} in ${litres} L`, async () => {
          await page.goto(`/?fill=${index + 1}`);
          const panel = page.getByRole("dialog");
          await panel.getByLabel("Method").selectOption(methodId);
          for (const picked of await panel.getByLabel("picked just now").all()) await picked.check();
          for (const plants of await panel.getByLabel("Which plants").all()) await plants.fill("comfrey");
          const water = panel.getByLabel(/^Water for the brew/);
          if ((await water.count()) > 0) await water.selectOption({ label: "Butt: free of chlorine" });
          await panel.getByRole("button", { name: "Start the batch" }).click();
          await expect(panel, `${methodName} in ${name}`).toHaveCount(0);
        });
      }
      await page.goto("/");
      await expect(page.getByRole("article").filter({ hasText: "Free" })).toHaveCount(0);
    });
  });
