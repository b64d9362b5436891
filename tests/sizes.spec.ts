import type { APIRequestContext } from "@playwright/test";
import { brotliCompressSync } from "node:zlib";
import { expect, test } from "./harness/farm";
import { fitsTheScreen, seesNoBarrier } from "./harness/look";

const act = async (request: APIRequestContext, name: string, body: object): Promise<void> => {
  const answer = await request.post(`/api/act/${name}`, { data: { requestKey: crypto.randomUUID(), ...body } });
  expect(((await answer.json()) as { ok: boolean }).ok, name).toBe(true);
};

test(
  "forty vessels stand side by side, each with its name, and are worked at",
  { tag: "@both" },
  async ({ page, request }) => {
    for (let number = 9; number <= 40; number += 1)
      await act(request, "addVessel", {
        name: `Vessel ${number}`,
        kind: number % 2 ? "drum" : "pail",
        volumeL: number * 5,
      });
    await page.goto("/");
    const vessels = page.getByRole("article");
    await expect(vessels).toHaveCount(40);
    const boxes = await vessels.evaluateAll((all) =>
      all.map((one) => {
        const { left, right } = one.getBoundingClientRect();
        const name = one.querySelector("h2")!;
        const range = document.createRange();
        range.selectNodeContents(name);
        const words = range.getBoundingClientRect();
        return { left, right, sticksOut: Math.max(left - words.left, words.right - right) };
      }),
    );
    for (const [index, { left, sticksOut }] of boxes.entries()) {
      if (index > 0) expect(left).toBeGreaterThanOrEqual(boxes[index - 1]!.right - 1);
      expect(sticksOut).toBeLessThanOrEqual(1);
    }
    await fitsTheScreen(page);
    await seesNoBarrier(page);
    await page.getByRole("button", { name: "Fill Vessel 40" }).click();
    await expect(page.getByRole("dialog", { name: "Fill Vessel 40" })).toBeVisible();
  },
);

test("a hundred beds lie on the plan, are chosen at once, and get their loads", async ({ page, request }) => {
  const before = await page.request.get("/api/view/field").then(async (answer) => {
    const { value } = (await answer.json()) as { value: { plots: unknown[] } };
    return value.plots.length;
  });
  for (let number = before + 1; number <= 100; number += 1)
    await act(request, "addPlot", { name: `Row ${number}`, stage: "growing", widthM: 0.8, lengthM: 15 });
  await page.goto("/field");
  await page.getByRole("button", { name: "Choose all" }).click();
  await expect(page.getByText("100 chosen")).toBeVisible();
  await expect(page.getByRole("region", { name: "Loads" })).toContainText("×");
  await fitsTheScreen(page);
  await seesNoBarrier(page);
});

test("yard, log and field bring no more script along than a phone takes at once", async ({ page, baseURL }) => {
  for (const path of ["/", "/batches/5", "/field"]) {
    const html = await (await page.request.get(path)).text();
    const sources = new Set(
      [...html.matchAll(/<script(?![^>]*noModule)[^>]* src="([^"]+)"/gi)].map(([, source]) => source!),
    );
    expect(sources.size).toBeGreaterThan(3);
    const bodies = await Promise.all(
      [...sources].map(async (source) => (await page.request.get(new URL(source, baseURL).href)).body()),
    );
    const packedB = bodies.reduce((bytes, body) => bytes + brotliCompressSync(body).length, 0);
    expect(packedB, path).toBeLessThanOrEqual(150_000);
  }
});
