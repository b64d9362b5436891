import { weekOf, type Season } from "../season";

export const WHAT_IFS = ["one-more-drum", "helper-a-day", "no-next-week", "two-colder-weeks"] as const;
export type SeasonWhatIf = (typeof WHAT_IFS)[number];

/** What a drum holds, L; what a helper works in a day, min; how long it is colder, and by how much batches then take longer (judged: about 3 °C). */
export const WHAT_IF = { drumL: 200, helperMin: 480, colderD: 14, colderBy: 1.25 } as const;

/** The season with one thing otherwise. */
export function seasonIf(season: Season, change: SeasonWhatIf): Season {
  const { labour } = season;
  switch (change) {
    case "one-more-drum":
      return {
        ...season,
        vessels: [
          ...season.vessels,
          {
            id: "one-more",
            volumeL: WHAT_IF.drumL,
            holds: ["food-safe"],
            air: "none",
            cleanD: 1,
            fromDay: 0,
            toDay: season.days + 400,
          },
        ],
        // It takes as long in it as in the first vessel that its input has a row for.
        durations: [
          ...season.durations,
          ...season.inputs.flatMap(({ id }) => {
            const known = season.durations.find(({ input }) => input === id);
            return known ? [{ input: id, daysByStart: known.daysByStart }] : [];
          }),
        ],
      };
    case "helper-a-day":
      return {
        ...season,
        labour: { ...labour, weekMin: labour.weekMin.map((minutes) => minutes + WHAT_IF.helperMin) },
      };
    case "no-next-week": {
      const next = weekOf(season.nowDay) + 1;
      return {
        ...season,
        labour: { ...labour, weekMin: labour.weekMin.map((minutes, week) => (week === next ? 0 : minutes)) },
      };
    }
    case "two-colder-weeks":
      return {
        ...season,
        durations: season.durations.map((row) => ({
          ...row,
          daysByStart: row.daysByStart.map((takes, day) =>
            takes !== null && day < season.nowDay + WHAT_IF.colderD ? Math.ceil(takes * WHAT_IF.colderBy) : takes,
          ),
        })),
      };
  }
}
