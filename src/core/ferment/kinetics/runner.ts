import type { FermentBatch } from "../batch";
import type { Course } from "../temperature/course";
import { acidRunner } from "./acid";
import { bedRunner } from "./bed";
import { bloomRunner } from "./bloom";
import { shellRunner } from "./shell";
import { charRunner, soakRunner } from "./soak";
import type { Runner } from "./trajectory";

/** The runner of a batch's class. */
export function runnerFor(batch: FermentBatch, course: Course): Runner {
  const { model } = batch;
  switch (model.cls) {
    case "bloom":
      return bloomRunner(batch, model, course);
    case "acid":
      return acidRunner(batch, model, course);
    case "drawn":
    case "soak":
      return soakRunner(batch, model, course);
    case "char":
      return charRunner(batch, model, course);
    case "bed":
      return bedRunner(batch, model, course);
    case "shell":
      return shellRunner(batch, model, course);
  }
}
