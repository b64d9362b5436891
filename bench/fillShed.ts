import { INGREDIENT_IDS, findIngredient, type IngredientId } from "../src/core/book/ingredients";
import { insertLots, insertMovements, insertOwnIngredient } from "../src/data/shed";
import { inTransaction, type Database } from "../src/data/db";

const OWN = 233;
const LOTS = 5000;
const MOVEMENTS = 45_000;

/** Chance of the benches: the same every run (Park & Miller 1988, minimal standard). */
function chance(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
}

/** Fills the demo farm's shelves up to 5,000 lots of 300 ingredients, with 50,000 lines in the ledger. */
export async function fillShed(pool: Database): Promise<void> {
  const random = chance(20_310_111);
  const addedAt = new Date("2031-01-01T00:00:00Z");
  const kinds = INGREDIENT_IDS.filter((id) => id !== "water");
  const own = await inTransaction(pool, async (db) => {
    const made: { readonly id: number; readonly countsAs: IngredientId }[] = [];
    for (let index = 0; index < OWN; index += 1) {
      const countsAs = kinds[index % kinds.length]!;
      const id = await insertOwnIngredient(db, {
        name: `Own kind ${index}`,
        countsAs,
        densityKgPerL: null,
        keepsD: null,
        season: [],
        caution: "",
        keeping: "",
        actorId: 1,
        addedAt,
      });
      made.push({ id, countsAs });
    }
    return made;
  });
  await inTransaction(pool, (db) =>
    insertLots(
      db,
      Array.from({ length: LOTS }, (_, index) => {
        const mine = index % 2 === 0 ? own[Math.floor(random() * own.length)]! : null;
        const ingredientId = mine?.countsAs ?? kinds[Math.floor(random() * kinds.length)]!;
        return {
          ingredientId,
          ownId: mine?.id ?? null,
          unit: findIngredient(ingredientId).stockUnit,
          origin: "bought",
          receivedOn: `2030-${String(1 + Math.floor(random() * 12)).padStart(2, "0")}-${String(1 + Math.floor(random() * 28)).padStart(2, "0")}`,
          received: 100,
          costMinor: Math.floor(random() * 9000),
          expiresOn: random() < 0.5 ? "2032-01-01" : null,
          note: "",
          place: `shelf ${index % 20}`,
          provenance: {},
          fromBatchId: null,
          cameWithBatchId: null,
          actorId: 1,
          addedAt,
        } as const;
      }),
      () => undefined,
    ),
  );
  const [rows] = await pool.query("select id from lot where received = 100 order by id");
  const ids = (rows as { id: number }[]).map(({ id }) => id);
  await inTransaction(pool, (db) =>
    insertMovements(
      db,
      Array.from({ length: MOVEMENTS }, () => ({
        lotId: ids[Math.floor(random() * ids.length)]!,
        changeBy: -Math.ceil(random() * 2000) / 1000,
        kind: "wasted" as const,
        batchId: null,
        at: new Date(addedAt.getTime() + Math.floor(random() * 9 * 86_400_000)),
        actorId: 1,
        note: "",
      })),
    ),
  );
  await pool.query("analyze table lot, lot_balance, stock_movement");
}
