/** Text as it may stand in a file of tags. */
export const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`);

/** µm → mm, to the micrometre. */
export const mm = (micrometres: number): number => Number((micrometres / 1000).toFixed(3));
