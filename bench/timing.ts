const ROUNDS = 9;

/** First call and median of the rest, ms. */
async function time(work: () => Promise<unknown>): Promise<{ firstMs: number; medianMs: number }> {
  const samples: number[] = [];
  for (let round = 0; round <= ROUNDS; round += 1) {
    const from = performance.now();
    await work();
    samples.push(performance.now() - from);
  }
  const [firstMs = NaN, ...rest] = samples;
  return { firstMs, medianMs: rest.toSorted((a, b) => a - b)[Math.floor(rest.length / 2)] ?? NaN };
}

/** A view, and the bare SQL of its rows. */
export type View = readonly [name: string, view: () => Promise<unknown>, sql: () => Promise<unknown>];

/** A line a view: its bare SQL beside it. */
export async function rowsOf(size: string, views: readonly View[]): Promise<string[]> {
  const rows: string[] = [];
  for (const [name, view, sql] of views) {
    const bare = await time(sql);
    const whole = await time(view);
    rows.push(
      `| ${size} | ${name} | ${bare.medianMs.toFixed(1)} | ${whole.firstMs.toFixed(1)} | ${whole.medianMs.toFixed(1)} |`,
    );
  }
  return rows;
}
