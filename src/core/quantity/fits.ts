/** Amounts are said with three digits, so what is read off a screen and put in may be half a percent more than what was meant. */
const SAID_WITHIN = 0.005;
/** The ledger's grain is a gram or a millilitre; half of one is no amount. */
const GRAIN = 5e-4;

/**
 * Whether an amount goes into the room, or comes out of the stock, that there is: the one notion of "fits" that proposal, form and
 * server share. What overshoots by no more than the rounding of a printed figure fits.
 * @param amount and `available` in the same unit, L or kg, at least 0
 * @example fits(16.7, 16.667); // true: 16.7 is how 16.667 is said
 */
export const fits = (amount: number, available: number): boolean => amount <= available * (1 + SAID_WITHIN) + GRAIN;
