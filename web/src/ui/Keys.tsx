/** Keys to press together, each as a key. */
export const Keys = ({ keys }: { readonly keys: readonly string[] }) => (
  <span className="inline-flex gap-1 whitespace-nowrap">
    {keys.map((key) => (
      <kbd
        key={key}
        className="font-text text-small min-w-6 h-6 px-1.5 inline-grid place-items-center border border-line rounded-nick bg-paper"
      >
        {key}
      </kbd>
    ))}
  </span>
);
