import { manyBeds, merged, numbered, split, type ManyBeds } from "@/core/land/edit";
import type { PlotKind } from "@/core/land/geojson";
import { areaM2, centreOf, moved, turned, type Point, type Ring } from "@/core/land/ring";

/** A plot as it is being drawn; its key is the plot's id, or a number of its own below nought. */
export interface DraftPlot {
  readonly key: number;
  readonly name: string;
  readonly kind: PlotKind;
  readonly ring: Ring;
  readonly block: string;
  readonly tags: readonly string[];
}

/** The land as it is being drawn, with what is picked on it. */
export interface Draft {
  readonly plots: readonly DraftPlot[];
  readonly picked: ReadonlySet<number>;
  readonly nextKey: number;
}

export type DraftStep =
  | { readonly type: "add"; readonly ring: Ring; readonly kind?: PlotKind }
  | { readonly type: "add-many"; readonly beds: ManyBeds; readonly firstName: string; readonly block: string }
  | { readonly type: "move"; readonly by: Point }
  | { readonly type: "turn"; readonly degrees: number }
  | { readonly type: "corner"; readonly key: number; readonly corner: number; readonly to: Point }
  | { readonly type: "ring"; readonly key: number; readonly ring: Ring }
  | { readonly type: "say"; readonly change: Partial<Pick<DraftPlot, "name" | "kind" | "block" | "tags">> }
  | { readonly type: "copy" }
  | { readonly type: "split"; readonly from: Point; readonly to: Point }
  | { readonly type: "merge" }
  | { readonly type: "put-away" };

const isPicked = ({ picked }: Draft, { key }: DraftPlot): boolean => picked.has(key);
const changed = (draft: Draft, change: (plot: DraftPlot) => DraftPlot): Draft => ({
  ...draft,
  plots: draft.plots.map((plot) => (isPicked(draft, plot) ? change(plot) : plot)),
});
const namesOf = ({ plots }: Draft) => plots.map(({ name }) => name);

/** New plots at the end, picked in place of what was. */
function added(draft: Draft, fresh: readonly Omit<DraftPlot, "key">[]): Draft {
  const withKeys = fresh.map((plot, index) => ({ ...plot, key: draft.nextKey - index }));
  return {
    plots: [...draft.plots, ...withKeys],
    picked: new Set(withKeys.map(({ key }) => key)),
    nextKey: draft.nextKey - fresh.length,
  };
}

/** The plots as a server knows them, to begin with. */
export const draftOf = (plots: readonly (Omit<DraftPlot, "key"> & { readonly id: number })[]): Draft => ({
  plots: plots.map(({ id, name, kind, ring, block, tags }) => ({ key: id, name, kind, ring, block, tags })),
  picked: new Set(),
  nextKey: -1,
});

export const pickedOf = (draft: Draft): readonly DraftPlot[] => draft.plots.filter((plot) => isPicked(draft, plot));
export const picking = (draft: Draft, keys: Iterable<number>): Draft => ({ ...draft, picked: new Set(keys) });

const COPY_BESIDE_M = 0.5;

/** Copies beside what they are of, by their own width and half a metre. */
function copied(draft: Draft): Draft {
  const names = namesOf(draft);
  const copies = pickedOf(draft).map(({ key: _key, ...plot }) => {
    const name = numbered(/\d$/.test(plot.name) ? plot.name : `${plot.name} 2`, 1, names)[0]!;
    names.push(name);
    const xs = plot.ring.map(([x]) => x);
    const ys = plot.ring.map(([, y]) => y);
    const [widthM, heightM] = [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
    const by: Point = widthM <= heightM ? [widthM + COPY_BESIDE_M, 0] : [0, heightM + COPY_BESIDE_M];
    return { ...plot, name, ring: moved(plot.ring, by) };
  });
  return added(draft, copies);
}

/** A plot parted in two: the larger piece keeps its name and all that it ever got. */
function parted(draft: Draft, from: Point, to: Point): Draft {
  const [plot] = pickedOf(draft);
  if (!plot) return draft;
  const [larger, smaller] = split(plot.ring, from, to).toSorted((a, b) => areaM2(b) - areaM2(a)) as [Ring, Ring];
  const { key: _key, ...rest } = plot;
  const name = numbered(/\d$/.test(plot.name) ? plot.name : `${plot.name} 2`, 1, namesOf(draft))[0]!;
  const kept = { ...draft, plots: draft.plots.map((one) => (one.key === plot.key ? { ...one, ring: larger } : one)) };
  const both = added(kept, [{ ...rest, name, ring: smaller }]);
  return { ...both, picked: new Set([plot.key, ...both.picked]) };
}

/** Plots joined to one: the first of them keeps its name and all that it ever got. */
function joined(draft: Draft): Draft {
  const [first, ...rest] = pickedOf(draft);
  if (!first || rest.length === 0) return draft;
  const ring = merged([first.ring, ...rest.map((plot) => plot.ring)]);
  const gone = new Set(rest.map(({ key }) => key));
  return {
    ...draft,
    plots: draft.plots
      .filter(({ key }) => !gone.has(key))
      .map((plot) => (plot.key === first.key ? { ...plot, ring } : plot)),
    picked: new Set([first.key]),
  };
}

/**
 * The land after one step of drawing.
 * @throws {DomainError} for a line that parts nothing, plots that do not touch
 */
export function drawn(draft: Draft, step: DraftStep): Draft {
  switch (step.type) {
    case "add":
      return added(draft, [
        {
          name: numbered("Bed 1", 1, namesOf(draft))[0]!,
          kind: step.kind ?? "bed",
          ring: step.ring,
          block: "",
          tags: [],
        },
      ]);
    case "add-many": {
      const rings = manyBeds(step.beds);
      const names = numbered(step.firstName, rings.length, namesOf(draft));
      return added(
        draft,
        rings.map((ring, index) => ({ name: names[index]!, kind: "bed", ring, block: step.block, tags: [] })),
      );
    }
    case "move":
      return changed(draft, (plot) => ({ ...plot, ring: moved(plot.ring, step.by) }));
    case "turn": {
      const centre = centreOf(pickedOf(draft).flatMap(({ ring }) => ring));
      const about = draft.picked.size === 1 ? undefined : centre;
      return changed(draft, (plot) => ({ ...plot, ring: turned(plot.ring, step.degrees, about) }));
    }
    case "corner":
      return {
        ...draft,
        plots: draft.plots.map((plot) =>
          plot.key === step.key ? { ...plot, ring: plot.ring.with(step.corner, step.to) } : plot,
        ),
      };
    case "ring":
      return {
        ...draft,
        plots: draft.plots.map((plot) => (plot.key === step.key ? { ...plot, ring: step.ring } : plot)),
      };
    case "say":
      return changed(draft, (plot) => ({ ...plot, ...step.change }));
    case "copy":
      return copied(draft);
    case "split":
      return parted(draft, step.from, step.to);
    case "merge":
      return joined(draft);
    case "put-away":
      return { ...draft, plots: draft.plots.filter((plot) => !isPicked(draft, plot)), picked: new Set() };
  }
}

/** The draft once it was kept: what was new has the id that the farm gave it, in the order in which it was sent. */
export function kept(
  draft: Draft,
  sent: readonly { readonly name: string; readonly plotId: number | null }[],
  ids: readonly number[],
): Draft {
  const idOf = new Map(
    sent.flatMap(({ name, plotId }, index) => (plotId === null ? [[name, ids[index]!] as const] : [])),
  );
  const keyOf = ({ key, name }: DraftPlot) => (key > 0 ? key : (idOf.get(name) ?? key));
  const picked = new Set(pickedOf(draft).map(keyOf));
  return { ...draft, plots: draft.plots.map((plot) => ({ ...plot, key: keyOf(plot) })), picked };
}

/** What has to be sent so that the server's land is this one: what is new or was changed, and what is no more. */
export function difference(before: Draft, after: Draft) {
  const known = new Map(before.plots.map((plot) => [plot.key, plot]));
  const standing = new Set(after.plots.map(({ key }) => key));
  return {
    plots: after.plots
      .filter((plot) => JSON.stringify(known.get(plot.key)) !== JSON.stringify(plot))
      .map(({ key, name, kind, ring, block, tags }) => ({
        plotId: key > 0 ? key : null,
        name,
        kind,
        ring: ring.map(([x, y]): [number, number] => [Number(x.toFixed(3)), Number(y.toFixed(3))]),
        block,
        tags: [...tags],
      })),
    putAway: before.plots.filter(({ key }) => !standing.has(key)).map(({ key }) => key),
  };
}
