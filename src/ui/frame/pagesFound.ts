/** Pages by their names, and the words by which somebody may look for them. */
export const PAGES_FOUND: readonly {
  readonly href: string;
  readonly name: string;
  readonly words: readonly string[];
}[] = [
  { href: "/", name: "Yard", words: ["vessels", "drums", "today’s jobs", "start"] },
  { href: "/shed", name: "Shed", words: ["stock", "ingredients", "containers"] },
  { href: "/shed/shopping", name: "Shopping list", words: ["buy", "order"] },
  { href: "/shed/gathering", name: "Gathering", words: ["pick", "plants", "worm bins"] },
  { href: "/shed/equipment", name: "Equipment", words: ["pump", "stones", "meter"] },
  { href: "/shed/probes", name: "Sensors and weather", words: ["probe", "station", "logger"] },
  { href: "/shed/count", name: "Stock count", words: ["inventory"] },
  { href: "/shed/files", name: "Files of the shed", words: ["csv", "import", "export"] },
  { href: "/book", name: "Methods", words: ["recipes"] },
  { href: "/book/names", name: "Names and family tree", words: ["glossary", "called", "what is true"] },
  { href: "/field", name: "Field", words: ["beds", "apply", "spray", "drench"] },
  { href: "/field/land", name: "Draw the field", words: ["map", "beds", "plan"] },
  { href: "/field/programmes", name: "Schedules", words: ["programmes", "how often"] },
  { href: "/field/jobs", name: "Jobs in the field", words: ["steps"] },
  { href: "/field/trials", name: "Trials", words: ["compare", "does it help", "strips", "experiment"] },
  { href: "/field/files", name: "Files of the field", words: ["csv", "inspector", "record"] },
  { href: "/trace", name: "Trace", words: ["where from", "which bed"] },
  { href: "/season", name: "Season", words: ["plan", "calendar", "when", "start", "weeks"] },
  { href: "/ledger", name: "Costs", words: ["money", "ledger", "price"] },
  { href: "/ledger/season", name: "Season’s report", words: ["year", "budget", "compare", "shop"] },
  { href: "/paper/round", name: "Print today’s jobs", words: ["paper", "print"] },
  { href: "/paper/applications", name: "Print application record", words: ["paper", "print", "inspector"] },
  { href: "/paper/labels", name: "Print labels", words: ["paper", "print", "drum label"] },
  { href: "/farm", name: "Farm settings", words: ["units", "currency", "climate", "time zone"] },
  { href: "/farm/vessel", name: "Vessels", words: ["change", "lend", "put away"] },
  { href: "/farm/person", name: "People", words: ["helper", "name"] },
  { href: "/farm/tool", name: "Cans and sprayers", words: ["tools", "knapsack", "injector"] },
  { href: "/farm/history", name: "History", words: ["who did what", "log", "mistake"] },
];
