/** All that is said in English but for the catalogues by code. */
export * from "./aside";
export * from "./care";
export * from "./caution";
export * from "./entry";
export * from "./lead";
export * from "./loads";
export * from "./look";
export * from "./looks";
export * from "./place";
export * from "./programme";
export * from "./reasons";
export * from "./residue";
export * from "./strength";
export * from "./verdict";
export * from "./water";
export * from "./whatIf";
export * from "./window";
