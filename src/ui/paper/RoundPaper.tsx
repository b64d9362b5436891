"use client";
import type { Paper } from "@/core/paper/papers";
import { LABEL_WORDS, type LabelLanguage } from "@/words/labelLanguage";
import { sayOnCard, sayTask } from "@/words/taskLanguage";
import { clockTime, dateIn } from "@/formats/times";
import type { FarmView } from "@/services/farm";
import type { RoundTask } from "@/services/yard";
import { TaskPicture } from "../yard/TaskPicture";
import { LanguageField } from "./LanguageField";
import { PaperBar } from "./PaperBar";
import { LongPage } from "./PaperSheet";
import { TickBox } from "./ShoppingPaper";

interface RoundPaperProps {
  readonly tasks: readonly RoundTask[];
  readonly farm: FarmView;
  readonly nowMs: number;
  readonly paper: Paper;
  /** The language of whoever goes round. */
  readonly language: LabelLanguage;
}

/** The round as cards for the pocket: a picture, the drum by its name, what to do, in the language of whoever goes. */
export const RoundPaper = ({ tasks, farm, nowMs, paper, language }: RoundPaperProps) => {
  const say = (word: Parameters<typeof sayOnCard>[0]) => sayOnCard(word, language);
  const when = ({ urgency, dueMs, tomorrow }: RoundTask) =>
    urgency === "later" ? `${tomorrow ? `${say("tomorrow")} ` : ""}${clockTime(new Date(dueMs), farm)}` : say(urgency);
  return (
    <div className="px-4 py-5 print:p-0">
      <PaperBar title="Today’s jobs on paper" paper={paper.id}>
        <LanguageField language={language} />
      </PaperBar>
      <LongPage paper={paper}>
        <h2 lang={language} className="text-2xl">
          {say("title")}, {farm.name}, {dateIn(new Date(nowMs), farm, LABEL_WORDS[language].locale)}
        </h2>
        {tasks.length === 0 ? <p>{say("nothing")}</p> : null}
        <ol lang={language} className="mt-[3mm]">
          {tasks.map((task) => (
            <li
              key={task.key}
              className="flex break-inside-avoid items-center gap-[4mm] border-b-[0.2mm] border-black py-[2.5mm]"
            >
              <TickBox />
              <TaskPicture does={task.does} className="size-[9mm] shrink-0" />
              <span className="flex-1 leading-tight">
                <span className="font-semibold">{task.on}</span>: {sayTask(task.does, language)}
                {task.who ? <span className="block text-[0.88em]">{task.who}</span> : null}
              </span>
              <span className={`reading ${task.urgency === "late" ? "font-bold" : ""}`}>{when(task)}</span>
            </li>
          ))}
        </ol>
        <p lang={language} className="mt-[4mm] font-semibold">
          {say("ask")}
        </p>
      </LongPage>
    </div>
  );
};
