/** A name that none of those has: the same, or with the next number behind it. */
export const freshName = (name: string, taken: readonly string[]): string => {
  const known = new Set(taken);
  if (name === '' || !known.has(name)) return name;
  const bare = name.replace(/ \d+$/, '').slice(0, 70);
  for (let number = 2; ; number += 1) if (!known.has(`${bare} ${number}`)) return `${bare} ${number}`;
};
