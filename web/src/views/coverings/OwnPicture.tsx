import type { Art } from '@parlor/core/cover';
import { ImagePlus } from 'lucide-react';
import { useRef, useState } from 'react';
import { type ApiError, api } from '../../state/index.ts';
import { Button } from '../../ui/index.ts';
import { pictureArt } from './dressing.ts';

const MOST_MB = 25;

/** Why a picture was not taken, and what to do. */
const REASONS: Readonly<Record<string, (error: ApiError) => string>> = {
  'picture-too-large': () => `It is larger than ${MOST_MB} MB. Save it smaller, and bring it in again.`,
  'picture-too-many-pixels': ({ megapixels, most }) =>
    `It has ${megapixels} megapixels; the limit is ${most}. Save it smaller, and import it again.`,
  'picture-too-slow': () => 'Reading it takes more than 5 seconds. Save it smaller or simpler, and import it again.',
  'picture-too-heavy': () => 'Reading it takes too much memory. Save it smaller, and import it again.',
  'svg-unreadable': () => 'The drawing cannot be read. Open it in a drawing program and save it again as a plain SVG.',
  'svg-too-large': () => 'The drawing has too many parts. Simplify it, or save it as a PNG.',
  'svg-filters': () => 'The drawing uses filter effects such as blur or noise. Save it as a PNG, or take the effects out.',
  'svg-foreign': () => 'The drawing needs files that are not in it. Embed its pictures, or save it as a PNG.',
  'svg-repeats': () => 'The drawing repeats its parts too many times. Save it as a PNG.',
  'svg-entities': () => 'The drawing declares entities, which are not read here. Save it again as a plain SVG.',
  'too-many-pictures': ({ most }) => `The limit is ${most} pictures. Ones that no set uses are removed after 30 days.`,
  busy: () => 'Other pictures are being read just now. Try again in a moment.',
  'picture-of-other-kind': () => 'It is no JPEG, PNG, WebP or SVG. Save it as one of these.',
  'picture-unreadable': () => 'It cannot be read as a picture; it may be broken off.',
  'storage-full': () => 'There is no room left on the disk to keep it.',
  offline: () => 'The application cannot be reached just now; try again when it runs.',
};

const KINDS = 'image/jpeg,image/png,image/webp,image/svg+xml';

/** Brings in a picture from the maker's own files. */
export const OwnPicture = ({ words, onTake }: { readonly words: string; readonly onTake: (art: Art) => void }) => {
  const input = useRef<HTMLInputElement>(null);
  const [state, setState] = useState<'ready' | 'reading' | { readonly problem: string }>('ready');
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > MOST_MB * 1024 * 1024)
      return setState({ problem: `${file.name} was not taken. ${REASONS['picture-too-large']?.({ code: '' })}` });
    setState('reading');
    const kept = await api.sendPicture(file);
    if (kept.ok) {
      setState('ready');
      return onTake(pictureArt(kept.value, file.name));
    }
    const reason = REASONS[kept.error.code]?.(kept.error) ?? 'It could not be kept; please try again.';
    setState({ problem: `${file.name} was not taken. ${reason}` });
  };
  return (
    <div>
      <input
        ref={input}
        type="file"
        accept={KINDS}
        className="sr-only"
        aria-label="A picture file of your own"
        tabIndex={-1}
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <Button disabled={state === 'reading'} onClick={() => input.current?.click()}>
        <ImagePlus size={18} /> {state === 'reading' ? 'reading it …' : words}
      </Button>
      {typeof state === 'object' && (
        <p role="alert" className="font-hand text-rose text-note mt-1.5 max-w-md">
          {state.problem}
        </p>
      )}
    </div>
  );
};
