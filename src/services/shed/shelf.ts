import "server-only";
import { groupBy } from "@/core/groupBy";
import { toMilli } from "@/core/stock/drawOldest";
import type { Database } from "@/data/db";
import { listLotEvents, listOwnIngredients, type OwnIngredient, listLotsOnHand, shelfMark } from "@/data/shed";
import { withStates, type LotView } from "./lotStates";

/** Layers drawn of an item's lots; more than these lie together in the last. */
const LAYERS = 5;

export interface ShedLayer {
  readonly amount: number;
  readonly expired: boolean;
  readonly held: boolean;
}

/** What a container holds, over all its lots. */
export interface ItemSum {
  readonly onHand: number;
  /** What came in with the lots that are left: what a full container is. */
  readonly cameIn: number;
  readonly lotCount: number;
  /** Oldest first. */
  readonly layers: readonly ShedLayer[];
  readonly places: readonly string[];
  /** The soonest day on which one of its lots expires. */
  readonly expiresOn: string | null;
  readonly heldAmount: number;
}

export interface Shelf {
  readonly own: readonly OwnIngredient[];
  readonly lots: readonly LotView[];
  readonly sums: ReadonlyMap<string, ItemSum>;
  readonly byIngredient: ReadonlyMap<string, readonly LotView[]>;
}

/** A container's own id: the book's, or own-N. */
export const itemIdOf = (ingredientId: string, ownId: number | null): string =>
  ownId === null ? ingredientId : `own-${ownId}`;

function layersOf(lots: readonly LotView[], today: string): ShedLayer[] {
  const layer = (lot: LotView): ShedLayer => ({
    amount: lot.onHand,
    expired: lot.state.expiresOn !== null && lot.state.expiresOn < today,
    held: lot.hold !== null,
  });
  if (lots.length <= LAYERS) return lots.map(layer);
  const rest = lots.slice(LAYERS - 1);
  return [
    ...lots.slice(0, LAYERS - 1).map(layer),
    { amount: rest.reduce((sum, { onHand }) => sum + onHand, 0), expired: false, held: false },
  ];
}

function sumOf(lots: readonly LotView[], today: string): ItemSum {
  let expiresOn: string | null = null;
  let onHandMilli = 0;
  let cameIn = 0;
  let heldAmount = 0;
  const places = new Set<string>();
  for (const { state, onHand, received, hold } of lots) {
    if (state.expiresOn !== null && (expiresOn === null || state.expiresOn < expiresOn)) expiresOn = state.expiresOn;
    onHandMilli += toMilli(onHand);
    cameIn += received;
    if (hold) heldAmount += onHand;
    if (state.place) places.add(state.place);
  }
  return {
    onHand: onHandMilli / 1000,
    cameIn,
    lotCount: lots.length,
    layers: layersOf(lots, today),
    places: [...places],
    expiresOn,
    heldAmount,
  };
}

const kept = new WeakMap<Database, { readonly mark: string; readonly today: string; readonly shelf: Shelf }>();

/**
 * The shelf as it stands, its lots with all that was noted of them. Kept in this process until the ledger or the notes move on, which the
 * database itself tells at every look; so a full shed is read once a change, not once a look.
 */
export async function readShelfLots(pool: Database, today: string): Promise<Shelf> {
  const mark = await shelfMark(pool);
  const known = kept.get(pool);
  if (known && known.mark === mark && known.today === today) return known.shelf;
  const [lots, events, own] = await Promise.all([listLotsOnHand(pool), listLotEvents(pool), listOwnIngredients(pool)]);
  const stated = withStates(lots, events, today);
  const byItem = groupBy(stated, ({ ingredientId, ownId }) => itemIdOf(ingredientId, ownId));
  const shelf = {
    own,
    lots: stated,
    sums: new Map([...byItem].map(([itemId, own]) => [itemId, sumOf(own, today)])),
    byIngredient: groupBy(stated, ({ ingredientId }) => ingredientId),
  };
  // What was read may be newer than the mark: then the next look reads once more, which is right if not needed.
  kept.set(pool, { mark, today, shelf });
  return shelf;
}
