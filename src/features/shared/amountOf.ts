/** The share of the usual amount, where it is not all of it: what is stored says nothing of the usual. */
export function amountOf({ amount = 1 }: { readonly amount?: number | undefined }): { amount?: number } {
  return amount < 1 ? { amount } : {};
}
