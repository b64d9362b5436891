type Cells = Float64Array | Int16Array | Uint8Array;

/** What was changed since a mark, so that a try that fails leaves nothing behind. Cells and objects are apart: neither touches what the other keeps. */
export class Journal {
  private readonly arrays: Cells[] = [];
  private places = new Int32Array(1 << 16);
  private before = new Float64Array(1 << 16);
  private count = 0;
  private readonly undos: (() => void)[] = [];
  private undoCount = 0;

  set(cells: Cells, place: number, value: number): void {
    if (this.count === this.places.length) this.grow();
    this.arrays[this.count] = cells;
    this.places[this.count] = place;
    this.before[this.count] = cells[place]!;
    this.count += 1;
    cells[place] = value;
  }
  add(cells: Cells, place: number, change: number): void {
    this.set(cells, place, cells[place]! + change);
  }
  /** @param undo how to make good what was just done to an object */
  did(undo: () => void): void {
    this.undos[this.undoCount] = undo;
    this.undoCount += 1;
  }
  mark(): Mark {
    return { cells: this.count, undos: this.undoCount };
  }
  /** @returns false, for what fails to say so on its way out */
  rollback({ cells, undos }: Mark): false {
    for (let at = this.count - 1; at >= cells; at -= 1) this.arrays[at]![this.places[at]!] = this.before[at]!;
    this.count = cells;
    for (let at = this.undoCount - 1; at >= undos; at -= 1) this.undos[at]!();
    this.undoCount = undos;
    return false;
  }
  /** Nothing up to here is taken back any more. */
  keep(): void {
    this.count = this.undoCount = 0;
  }
  private grow(): void {
    const [places, before] = [new Int32Array(2 * this.count), new Float64Array(2 * this.count)];
    places.set(this.places);
    before.set(this.before);
    this.places = places;
    this.before = before;
  }
}
export interface Mark {
  readonly cells: number;
  readonly undos: number;
}
export const START: Mark = { cells: 0, undos: 0 };
