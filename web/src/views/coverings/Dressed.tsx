import { type Look, UNDRESSED, wornOn } from '@parlor/core/cover';
import type { DerivedCovering, DerivedPiece, MadePiece } from '@parlor/core/set';
import type { Vec3 } from '@parlor/core/shape';
import { useMemo } from 'react';
import { useAppSelector, useSet } from '../../state/index.ts';
import { canDrawModel, clothesOf, Figure, type Foretaste, LookSwatch, PieceModel, usePicturesCame } from '../../ui/index.ts';

/** The piece in its clothes. Touch a face to dress it with the swatch in hand. */
export const DressedModel = ({
  piece,
  made,
  covering,
  looks,
  onTouch,
  foretaste,
}: {
  readonly piece: DerivedPiece;
  readonly made: MadePiece;
  readonly covering: DerivedCovering | null;
  readonly looks: ReadonlyMap<string, Look>;
  readonly onTouch: ((part: number, at: Vec3) => void) | undefined;
  readonly foretaste: (part: number) => Foretaste | null;
}) => {
  const { doll, finishes, pieces } = useSet();
  const dress = pieces.find(({ id }) => id === piece.id)?.dress ?? UNDRESSED;
  const { night } = useAppSelector((state) => state.ui);
  const came = usePicturesCame();
  // Who wears what is known here at once; where it shows, and what it is cut from, follows from the worker.
  const clothes = useMemo(() => {
    if (!covering || came < 0) return [];
    const { surfaces } = covering.covering;
    const worn = wornOn(made.assembly, surfaces, dress, new Map(finishes.map((finish) => [finish.id, finish])));
    return clothesOf(made.assembly, { surfaces, worn }, looks, came);
  }, [made, covering, looks, came, dress, finishes]);
  return (
    <div className={canDrawModel() ? 'relative h-88 shrink-0' : ''} data-clothes={clothes.length}>
      <div className={canDrawModel() ? 'absolute inset-0' : ''}>
        <PieceModel
          key={String(night)}
          made={made}
          name={piece.name}
          dollHeightUm={doll.height}
          clothes={clothes}
          onTouch={onTouch}
          foretaste={foretaste}
        />
      </div>
    </div>
  );
};

/** A swatch as a wall behind the doll, all at one scale. */
export const AgainstDoll = ({ look }: { readonly look: Look }) => {
  const { doll } = useSet();
  const height = doll.height / 1000;
  const [wide, high] = [height * 1.15, height * 1.12];
  const shown = 190;
  const scale = shown / high;
  return (
    <figure className="relative shrink-0 overflow-hidden rounded-slip border border-tab" style={{ width: wide * scale, height: shown }}>
      <div style={{ transform: `scale(${(scale * 25.4) / 96})`, transformOrigin: 'top left' }}>
        <LookSwatch label="the swatch" look={look} width={wide} height={high} />
      </div>
      <svg
        viewBox={`0 0 ${wide} ${high}`}
        className="absolute inset-0 w-full h-full"
        role="img"
        aria-label="The swatch behind the doll, at one scale"
      >
        {/* She stands beside what is to be read. */}
        <Figure heightUm={doll.height} x={wide * (look.kind === 'sign' ? 0.2 : 0.5)} floor={high} />
      </svg>
    </figure>
  );
};
