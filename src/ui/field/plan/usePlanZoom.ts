import { useEffect, useMemo, useRef } from "react";
import { whenIdle } from "../../kit/whenIdle";
import type { PlanZoomer } from "./planZoomer";

/** Names are drawn from so many pixels a metre on; below they would lie over each other. */
const NAMED_FROM_PX = 9;

/**
 * Zooming and moving of a plan, without drawing it anew: only the group's own transform changes. What does it comes after the page, or with the
 * first button for it.
 * @param pxPerM of the plan as it is drawn at first
 */
export function usePlanZoom(pxPerM: number) {
  const svg = useRef<SVGSVGElement>(null);
  const layer = useRef<SVGGElement>(null);
  const zoomer = useRef<Promise<PlanZoomer | null> | null>(null);
  const zoomerNow = useMemo(() => {
    const start = async (): Promise<PlanZoomer | null> => {
      // A plan that can't be zoomed is a plan all the same; the next touch asks again.
      const come = await import("./planZoomer").catch(() => null);
      if (!come || !svg.current) {
        zoomer.current = null;
        return null;
      }
      return come.zoomerOf(svg.current, (transform, scale) => {
        layer.current?.setAttribute("transform", transform);
        svg.current?.toggleAttribute("data-far", scale * pxPerM < NAMED_FROM_PX);
      });
    };
    return () => (zoomer.current ??= start());
  }, [pxPerM]);
  useEffect(() => {
    const callOff = whenIdle(() => void zoomerNow());
    return () => {
      callOff();
      void zoomer.current?.then((own) => own?.end());
      zoomer.current = null;
    };
  }, [zoomerNow]);
  return useMemo(
    () => ({
      svg,
      layer,
      isFarAtFirst: pxPerM < NAMED_FROM_PX,
      zoomBy: (factor: number) => void zoomerNow().then((own) => own?.zoomBy(factor)),
      fit: () => void zoomerNow().then((own) => own?.fit()),
    }),
    [pxPerM, zoomerNow],
  );
}
export type PlanZoom = ReturnType<typeof usePlanZoom>;
