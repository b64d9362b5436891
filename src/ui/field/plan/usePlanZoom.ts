import { select } from "d3-selection";
import { zoom, zoomIdentity, type ZoomBehavior } from "d3-zoom";
import { useEffect, useMemo, useRef } from "react";

/** Names are drawn from so many pixels a metre on; below they would lie over each other. */
const NAMED_FROM_PX = 9;

/**
 * Zooming and moving of a plan, without drawing it anew: only the group's own transform changes. Two fingers, or the wheel with Ctrl; a page
 * that is scrolled by is not caught.
 * @param pxPerM of the plan as it is drawn at first
 */
export function usePlanZoom(pxPerM: number) {
  const svg = useRef<SVGSVGElement>(null);
  const layer = useRef<SVGGElement>(null);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown> | null>(null);
  useEffect(() => {
    if (!svg.current) return;
    const own = zoom<SVGSVGElement, unknown>()
      .scaleExtent([0.5, 24])
      .filter((event: Event) => {
        if (event instanceof WheelEvent) return event.ctrlKey || event.metaKey;
        if (typeof TouchEvent !== "undefined" && event instanceof TouchEvent) return event.touches.length > 1;
        return (
          !(event.target instanceof Element && event.target.closest("[data-drawn]")) &&
          event instanceof MouseEvent &&
          event.button === 0
        );
      })
      .on("zoom", ({ transform }: { transform: { toString: () => string; k: number } }) => {
        layer.current?.setAttribute("transform", transform.toString());
        svg.current?.toggleAttribute("data-far", transform.k * pxPerM < NAMED_FROM_PX);
      });
    behaviour.current = own;
    const selected = select(svg.current).call(own).on("dblclick.zoom", null);
    return () => void selected.on(".zoom", null);
  }, [pxPerM]);
  return useMemo(
    () => ({
      svg,
      layer,
      isFarAtFirst: pxPerM < NAMED_FROM_PX,
      zoomBy: (factor: number) => {
        if (svg.current && behaviour.current) behaviour.current.scaleBy(select(svg.current), factor);
      },
      fit: () => {
        if (svg.current && behaviour.current) behaviour.current.transform(select(svg.current), zoomIdentity);
      },
    }),
    [pxPerM],
  );
}
export type PlanZoom = ReturnType<typeof usePlanZoom>;
