import { select } from "d3-selection";
import { zoom, zoomIdentity } from "d3-zoom";

export interface PlanZoomer {
  readonly zoomBy: (factor: number) => void;
  readonly fit: () => void;
  readonly end: () => void;
}

/**
 * Lets a plan be zoomed and moved, by two fingers or by the wheel with Ctrl; a page that is scrolled by is not caught.
 * @param onZoom is given the group's transform and the scale, 1 at first
 */
export function zoomerOf(svg: SVGSVGElement, onZoom: (transform: string, scale: number) => void): PlanZoomer {
  const behaviour = zoom<SVGSVGElement, unknown>()
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
    .on("zoom", ({ transform }: { transform: { toString: () => string; k: number } }) =>
      onZoom(transform.toString(), transform.k),
    );
  const selected = select(svg).call(behaviour).on("dblclick.zoom", null);
  return {
    zoomBy: (factor) => behaviour.scaleBy(select(svg), factor),
    fit: () => behaviour.transform(select(svg), zoomIdentity),
    end: () => void selected.on(".zoom", null),
  };
}
