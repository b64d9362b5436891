import { expect, test } from "./harness/farm";

test.use({ ownServer: true });

test(
  "the database gone in the middle: a clear word, nothing lost, and one write once it is back",
  { tag: "@phone" },
  async ({ page, ownDatabase }) => {
    await page.goto("/shed");
    await page.getByRole("button", { name: "Receive a lot" }).click();
    const panel = page.getByRole("dialog");
    await panel.getByLabel("What").selectOption("kelp-meal");
    await panel.getByLabel("How much (kg)").fill("4.25");
    await panel.getByLabel("Note").fill("two sacks");
    ownDatabase!.stop();
    try {
      await panel.getByRole("button", { name: "Put it on the shelf" }).click();
      await expect(panel.getByRole("alert")).toContainText("database does not answer");
      await expect(panel.getByLabel("Note")).toHaveValue("two sacks");
      const other = await page.context().newPage();
      await other.goto("/ledger");
      await expect(other.getByText("The farm’s book can’t be opened just now")).toBeVisible();
    } finally {
      ownDatabase!.start();
    }
    await panel.getByRole("button", { name: "Put it on the shelf" }).click();
    await expect(panel).toHaveCount(0);
    await page.getByRole("link", { name: /^Kelp meal/ }).click();
    await expect(page.getByRole("dialog").getByText("two sacks")).toHaveCount(1);
  },
);
