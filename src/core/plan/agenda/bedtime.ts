/** Minutes after midnight: what is to lie for the night is begun by then (working assumption). */
export const BEDTIME_MINUTE = 21 * 60;
