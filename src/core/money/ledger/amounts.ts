import { DomainError } from "../../errors";
import { convert } from "../../quantity/convert";
import { toBase, type Quantity } from "../../quantity/units";

/** What is weighed counts in grams, what is poured in millilitres, whole. */
export type Stock = "g" | "mL";
export interface Amount {
  readonly stock: Stock;
  readonly whole: number;
}
/** @throws {DomainError} `unknown-unit`, and `ledger-fault` below nothing or for what is neither weighed nor poured */
export function amountOf(quantity: Quantity, path: string): Amount {
  const { dimension } = toBase(quantity);
  if (dimension !== "mass" && dimension !== "volume")
    throw new DomainError("ledger-fault", { fault: "no-amount", name: quantity.unit }, path);
  const stock: Stock = dimension === "mass" ? "g" : "mL";
  const whole = Math.round(convert(quantity, stock).value);
  if (!(quantity.value >= 0))
    throw new DomainError("ledger-fault", { fault: "negative", name: String(quantity.value) }, path);
  return { stock, whole };
}
/** The same stock as what it comes out of. @throws {DomainError} `ledger-fault` */
export function alike(amount: Amount, of: Stock, path: string): number {
  if (amount.stock !== of) throw new DomainError("ledger-fault", { fault: "no-amount", name: amount.stock }, path);
  return amount.whole;
}
export const quantityOf = ({ stock, whole }: Amount): Quantity => ({
  value: whole / 1000,
  unit: stock === "g" ? "kg" : "L",
});
