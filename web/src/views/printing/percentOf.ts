/** A share as a percentage, to a hundredth: 0.971 → 97.1 %. */
export const percentOf = (share: number): string => `${Number((share * 100).toFixed(2))} %`;
