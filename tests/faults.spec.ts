import { execFileSync } from "node:child_process";
import { expect, test } from "@playwright/test";

/** Stops or starts the test server's database, as bin/test set it up. */
const database = (act: "db_stop" | "db_start") =>
  execFileSync("bash", ["-c", `. bin/lib.sh && ${act}`], {
    env: { ...process.env, DB_NAME: "ruchka" },
    stdio: "ignore",
  });

test("the database gone in the middle: a clear word, nothing lost, and one write once it is back", async ({ page }) => {
  await page.goto("/shed");
  await page.getByRole("button", { name: "Receive a lot" }).click();
  const panel = page.getByRole("dialog");
  await panel.getByLabel("What").selectOption("kelp-meal");
  await panel.getByLabel("How much (kg)").fill("4.25");
  await panel.getByLabel("Note").fill("two sacks");
  database("db_stop");
  try {
    await panel.getByRole("button", { name: "Put it on the shelf" }).click();
    await expect(panel.getByRole("alert")).toContainText("database does not answer");
    await expect(panel.getByLabel("Note")).toHaveValue("two sacks");
    const other = await page.context().newPage();
    await other.goto("/ledger");
    await expect(other.getByText("The farm’s book can’t be opened just now")).toBeVisible();
  } finally {
    database("db_start");
  }
  await panel.getByRole("button", { name: "Put it on the shelf" }).click();
  await expect(panel).toHaveCount(0);
  await page.getByRole("link", { name: /^Kelp meal/ }).click();
  await expect(page.getByRole("dialog").getByText("two sacks")).toHaveCount(1);
});
