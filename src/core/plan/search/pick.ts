import type { State } from "../state/state";
import { weekOf } from "../season";

export interface Pick {
  readonly need: number;
  readonly day: number;
}
/** Which needs a batch would serve, and on which days: reused over candidates, so that none of it is made anew. */
export class Picker {
  private readonly stamps: Int32Array;
  private readonly days: Int16Array;
  private readonly minutes: Float64Array;
  private stamp = 0;
  constructor(private readonly state: State) {
    this.stamps = new Int32Array(state.model.needs.count);
    this.days = new Int16Array(state.model.needs.count);
    this.minutes = new Float64Array(state.model.weeks);
  }

  private isApart(need: number, day: number): boolean {
    const { firstNeighbour, neighbours, apartD, barred, earliest } = this.state.model.needs;
    if (barred[need]![day - earliest[need]!]) return false;
    const last = firstNeighbour[need + 1]!;
    for (let at = firstNeighbour[need]!; at < last; at += 1) {
      const neighbour = neighbours[at]!;
      let other = this.state.needDay[neighbour]!;
      if (other < 0 && this.stamps[neighbour] === this.stamp) other = this.days[neighbour]!;
      if (other >= 0 && Math.abs(other - day) < apartD[at]!) return false;
    }
    return true;
  }
  private fits(need: number, day: number): boolean {
    const week = weekOf(day);
    const { weekMin, model } = this.state;
    return (
      weekMin[week]! + this.minutes[week]! + model.needs.workMin[need]! <= model.weekMin[week]! + 1e-6 &&
      this.isApart(need, day)
    );
  }
  /** The day nearest to the one that the need would have, from those that a source serves; -1 for none. */
  private dayFor(need: number, readyDay: number, lastDay: number): number {
    const { earliest, latest, preferred } = this.state.model.needs;
    const [first, last] = [Math.max(earliest[need]!, readyDay), Math.min(latest[need]!, lastDay)];
    if (first > last) return -1;
    const wanted = Math.min(last, Math.max(first, preferred[need]!));
    for (let off = 0; wanted - off >= first || wanted + off <= last; off += 1) {
      if (wanted - off >= first && this.fits(need, wanted - off)) return wanted - off;
      if (off > 0 && wanted + off <= last && this.fits(need, wanted + off)) return wanted + off;
    }
    return -1;
  }

  /**
   * The anchor and as many of the others, by their order, as so many litres may serve.
   * @returns nothing where not even the anchor has a day
   */
  pick(
    anchor: number,
    open: readonly number[],
    readyDay: number,
    lastDay: number,
    mostL: number,
    doses: Float64Array,
  ): Pick[] {
    this.stamp += 1;
    this.minutes.fill(0);
    const picks: Pick[] = [];
    let litres = 0;
    const { earliest, latest, workMin } = this.state.model.needs;
    const choose = (need: number): boolean => {
      const day = this.dayFor(need, readyDay, lastDay);
      if (day < 0) return false;
      this.stamps[need] = this.stamp;
      this.days[need] = day;
      this.minutes[weekOf(day)]! += workMin[need]!;
      picks.push({ need, day });
      litres += doses[need]!;
      return true;
    };
    if (!choose(anchor)) return picks;
    for (let at = 0; at < open.length && litres < mostL; at += 1) {
      const need = open[at]!;
      if (need !== anchor && earliest[need]! <= lastDay && latest[need]! >= readyDay) choose(need);
    }
    return picks;
  }
}
