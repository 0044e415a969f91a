// What a set begins with where its maker lives, as far as the browser says.

/** Where pages are printed on letter. Recalled from memory of the language data that browsers carry (paper size by territory). */
const LETTER = new Set(['US', 'CA', 'MX', 'PH', 'CL', 'CO', 'VE', 'CR', 'GT', 'NI', 'PA', 'PR', 'SV', 'BZ']);

/** Where inches are spoken. */
const INCHES = new Set(['US', 'LR', 'PR']);

/** Unit and paper of a new set, by the country of a language tag such as “en-CA”; a tag that names none says nothing. */
export const usualThere = (
  language: string,
): { readonly units?: { readonly unit: 'in' }; readonly printing?: { readonly paper: 'letter' } } => {
  const region = /^[a-z]{2,3}(?:-[A-Z][a-z]{3})?-([A-Z]{2})\b/.exec(language)?.[1] ?? '';
  return {
    ...(INCHES.has(region) && { units: { unit: 'in' } as const }),
    ...(LETTER.has(region) && { printing: { paper: 'letter' } as const }),
  };
};
