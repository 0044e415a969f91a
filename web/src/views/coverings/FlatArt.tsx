import { type Art, type Finish, LEAST_DPI, usedPixels } from '@parlor/core/cover';
import { realUm, UM } from '@parlor/core/measure';
import { RotateCw } from 'lucide-react';
import type { ReactNode } from 'react';
import { useScale } from '../../state/index.ts';
import { Button, Check, Choice, HANDS, LINES_STAND, NumberField, pictureUrl, SizeField, WordsField } from '../../ui/index.ts';
import type { Change } from './dressing.ts';
import { OwnPicture } from './OwnPicture.tsx';

type PictureArt = Extract<Art, { kind: 'picture' }>;
type SignArt = Extract<Art, { kind: 'sign' }>;

const TILES = [
  { value: 'repeat', label: 'repeated' },
  { value: 'mirror', label: 'mirrored' },
  { value: 'once', label: 'once' },
] as const;

const FITS = [
  { value: 'fitted', label: 'fitted to each face' },
  { value: 'wide', label: 'of a known width' },
] as const;

const SIDES = ['left', 'right', 'top', 'bottom'] as const;

/** What is used of the picture, as a frame on it. */
const CropSketch = ({ art }: { readonly art: PictureArt }) => {
  const { left, right, top, bottom } = art.crop;
  return (
    <div className="relative w-40 shrink-0 self-start rounded-nick overflow-hidden border border-tab">
      <img src={pictureUrl(art.picture.id)} alt={art.picture.name} className="block w-full" />
      <div
        className="absolute border-2 border-rose shadow-[0_0_0_999px_rgb(43_36_64/0.45)]"
        style={{ left: `${left * 100}%`, right: `${right * 100}%`, top: `${top * 100}%`, bottom: `${bottom * 100}%` }}
      />
    </div>
  );
};

/** A picture of the maker's own: what of it, which way up, how wide, and how it goes on beyond its edges. */
export const PictureFields = ({ finish, art, change }: { readonly finish: Finish; readonly art: PictureArt; readonly change: Change }) => {
  const scale = useScale();
  const put = (words: string, part: Partial<PictureArt>) => change(words, { art: { ...art, ...part } });
  const used = usedPixels({ ...art, width: null });
  // At 150 dots to the inch at doll size.
  const widest = scale ? ((used.width / LEAST_DPI) * UM.in * scale.real) / scale.doll : 0;
  return (
    <div className="space-y-3">
      <div className="flex gap-4">
        <CropSketch art={art} />
        <div className="min-w-0 flex-1 space-y-2">
          <div className="grid grid-cols-2 gap-x-4">
            {SIDES.map((side) => (
              <NumberField
                key={side}
                label={`off its ${side}, %`}
                value={Math.round(art.crop[side] * 100)}
                min={0}
                max={95}
                onChange={(value) => {
                  const crop = { ...art.crop, [side]: (value ?? 0) / 100 };
                  const opposite = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' }[side] as (typeof SIDES)[number];
                  const most = 0.95 - crop[opposite];
                  put(`what is cut off ${finish.name}`, { crop: { ...crop, [side]: Math.max(0, Math.min(crop[side], most)) } });
                }}
              />
            ))}
          </div>
          <div className="flex flex-wrap gap-2">
            <Button
              look="quiet"
              className="-ml-3"
              onClick={() => put(`${finish.name} turned`, { quarters: ((art.quarters + 3) % 4) as 0 | 1 | 2 | 3 })}
            >
              <RotateCw size={16} /> turn it
            </Button>
            <OwnPicture
              words="another picture"
              onTake={(next) =>
                next.kind === 'picture' && put(`the picture of ${finish.name}`, { picture: next.picture, crop: next.crop, quarters: 0 })
              }
            />
          </div>
        </div>
      </div>
      <Choice
        label="How large"
        value={art.across === null ? 'fitted' : 'wide'}
        options={FITS}
        onChange={(fit) => put(`how large ${finish.name} is`, { across: fit === 'fitted' ? null : realUm(300 * UM.mm) })}
      />
      {art.across !== null && (
        <div className="grid grid-cols-[9rem_minmax(0,1fr)] gap-5 items-end">
          <SizeField
            label="wide, real"
            world="real"
            lengthUm={art.across}
            min={1 * UM.mm}
            max={20 * UM.m}
            hint={`sharp up to ${Math.floor(widest / UM.cm)} cm`}
            onChange={(um) => put(`how wide ${finish.name} is`, { across: realUm(um) })}
          />
          <Choice
            label="Beyond its edges"
            value={art.tiles}
            options={TILES}
            onChange={(tiles) => put(`how ${finish.name} goes on`, { tiles })}
          />
        </div>
      )}
    </div>
  );
};

/** A sign, label, price list or poster: its words, and the exact size of its box. */
export const SignFields = ({
  finish,
  art,
  change,
  ink,
}: {
  readonly finish: Finish;
  readonly art: SignArt;
  readonly change: Change;
  readonly ink: (label: string, value: string, put: (ink: string) => void) => ReactNode;
}) => {
  const put = (words: string, part: Partial<SignArt>) => change(words, { art: { ...art, ...part } });
  return (
    <div className="space-y-3">
      <WordsField value={art.words} onChange={(words) => put(`what ${finish.name} says`, { words })} />
      <div className="grid grid-cols-2 gap-5">
        <SizeField
          label="wide, real"
          world="real"
          lengthUm={art.width}
          min={5 * UM.mm}
          max={10 * UM.m}
          onChange={(um) => put(`how wide ${finish.name} is`, { width: realUm(um) })}
        />
        <SizeField
          label="high, real"
          world="real"
          lengthUm={art.height}
          min={5 * UM.mm}
          max={10 * UM.m}
          onChange={(um) => put(`how high ${finish.name} is`, { height: realUm(um) })}
        />
      </div>
      <Choice label="Written" value={art.face} options={HANDS} onChange={(face) => put(`the hand of ${finish.name}`, { face })} />
      <Choice label="Lines" value={art.align} options={LINES_STAND} onChange={(align) => put(`the lines of ${finish.name}`, { align })} />
      {ink('words', art.ink, (next) => put(`the ink of ${finish.name}`, { ink: next }))}
      {ink('ground', art.ground, (next) => put(`the ground of ${finish.name}`, { ground: next }))}
      <Check checked={art.border} onChange={(border) => put(`the border of ${finish.name}`, { border })}>
        a border round it
      </Check>
    </div>
  );
};
