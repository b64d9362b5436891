import "server-only";
import { treatable, type Mark, type Treatable } from "@/core/land/marks";
import type { Ring } from "@/core/land/ring";
import { keeping } from "../kept";

const kept = keeping<Treatable>("treatable", 5000);

/** What of plots may be treated beside these waters; worked out once for an outline and the waters, since it takes more than all the rest of a page. */
export function treatableBeside(marks: readonly Mark[]): (ring: Ring) => Treatable {
  const waters = marks.filter(({ bufferM }) => bufferM > 0).map(({ name, line, bufferM }) => [name, line, bufferM]);
  const besides = JSON.stringify(waters);
  return (ring) => {
    const key = `${besides} ${ring.join(";")}`;
    return kept.get(key) ?? kept.set(key, treatable(ring, marks));
  };
}
