import { expect, test } from "./harness/farm";

test.use({ ownServer: true });

test(
  "the database gone in the middle: a clear word, nothing lost, and one write once it is back",
  { tag: "@phone" },
  async ({ page, ownDatabase }) => {
    await page.goto("/shed");
    await page.getByRole("button", { name: "Add stock" }).click();
    const panel = page.getByRole("dialog");
    await panel.getByLabel("What").selectOption("kelp-meal");
    await panel.getByLabel("How much (kg)").fill("4.25");
    await panel.getByLabel("Note").fill("two sacks");
    ownDatabase!.stop();
    try {
      await panel.getByRole("button", { name: "Add to stock" }).click();
      await expect(panel.getByRole("alert")).toContainText("database does not answer");
      await expect(panel.getByLabel("Note")).toHaveValue("two sacks");
      const other = await page.context().newPage();
      await other.goto("/ledger");
      await expect(other.getByText("The farm’s data is not available")).toBeVisible();
    } finally {
      ownDatabase!.start();
    }
    await panel.getByRole("button", { name: "Add to stock" }).click();
    await expect(panel).toHaveCount(0);
    await page.getByRole("link", { name: /^Kelp meal/ }).click();
    await expect(page.getByRole("dialog").getByText("two sacks")).toHaveCount(1);
  },
);

test(
  "a database that hangs: health says so at once, the page after a while, and all goes on once it is back",
  { tag: "@phone" },
  async ({ page, request, ownDatabase }) => {
    await page.goto("/shed");
    await page.getByRole("button", { name: "Add stock" }).click();
    const panel = page.getByRole("dialog");
    await panel.getByLabel("What").selectOption("kelp-meal");
    await panel.getByLabel("How much (kg)").fill("4.25");
    const act = panel.getByRole("button", { name: "Add to stock" });
    const health = async () => (await request.get("/api/health")).json();
    expect(await health()).toEqual({ ok: true, database: true, room: true });
    ownDatabase!.hang();
    try {
      expect(await health()).toEqual({ ok: true, database: false, room: null });
      await act.click();
      await expect(panel.getByRole("alert")).toContainText("database does not answer");
    } finally {
      ownDatabase!.goOn();
    }
    await act.click();
    await expect(panel).toHaveCount(0);
    expect(await health()).toEqual({ ok: true, database: true, room: true });
  },
);
