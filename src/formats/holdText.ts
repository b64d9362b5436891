import { sayDay } from "./times";

/** A hold's reason with its days as a person reads them. @example sayHold("not before 2031-03-02"); // "not before 2 Mar 2031" */
export const sayHold = (because: string): string => because.replace(/\d{4}-\d{2}-\d{2}/g, (day) => sayDay(day));
