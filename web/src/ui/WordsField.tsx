import { SIGN_FACES, type SignFace } from '@parlor/core/cover';
import { useId, useState } from 'react';

const FACE_WORDS: Readonly<Record<SignFace, string>> = { text: 'plain', name: 'shop front', hand: 'by hand' };
/** The hands that words are written in, and how their lines stand. */
export const HANDS = SIGN_FACES.map((value) => ({ value, label: FACE_WORDS[value] }));
export const LINES_STAND = [
  { value: 'middle', label: 'in the middle' },
  { value: 'left', label: 'from the left' },
] as const;

/** Words as they are typed, line by line; written when they are left. */
export const WordsField = ({
  label = 'Words, line by line',
  value,
  onChange,
}: {
  readonly label?: string;
  readonly value: string;
  readonly onChange: (words: string) => void;
}) => {
  const id = useId();
  const [text, setText] = useState<string | null>(null);
  return (
    <div>
      <label htmlFor={id} className="text-small text-graphite">
        {label}
      </label>
      <textarea
        id={id}
        rows={Math.min(8, Math.max(2, (text ?? value).split('\n').length))}
        maxLength={600}
        value={text ?? value}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => {
          // What no pen writes is left out, as the set document would refuse it.
          const written = text
            ?.split('\n')
            .slice(0, 40)
            .map((line) => line.replace(/[\p{Cc}\p{Cs}]/gu, ''))
            .join('\n');
          if (written !== undefined && written !== value) onChange(written);
          setText(null);
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setText(null);
        }}
        className="w-full bg-paper font-hand text-lead rounded-slip border border-tab p-2.5 hover:border-moss"
      />
    </div>
  );
};
