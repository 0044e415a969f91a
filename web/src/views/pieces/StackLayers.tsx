import { dollOf, type Scale, showLength } from '@parlor/core/measure';
import { LAYER_FIELDS, MOST_LAYERS, newLayer, type Stack, type StackLayer } from '@parlor/core/piece';
import { Plus } from 'lucide-react';
import { useUnits } from '../../state/index.ts';
import { Button, Rows } from '../../ui/index.ts';
import { useChangePiece } from './useChangePiece.ts';

/** The layers of a stacked shape, from below or from the wall. */
export const StackLayers = ({ piece, scale }: { readonly piece: Stack; readonly scale: Scale }) => {
  const change = useChangePiece(piece);
  const units = useUnits();
  const put = (words: string, layers: Stack['layers']) => change(words, ['layers'], layers);
  const nameOf = ({ out, in: inwards, rim, boards, level }: StackLayer): string => {
    const by = dollOf(out, scale) - dollOf(inwards, scale);
    const size = by === 0 ? 'the outline' : `${showLength(Math.abs(by), units)} ${by > 0 ? 'larger' : 'smaller'} all round`;
    const kind = dollOf(rim, scale) > 0 ? `, a rim ${showLength(dollOf(rim, scale), units)} wide` : '';
    return `${size}${kind}${boards > 1 ? `, ${boards} boards` : ''}${level === 'beside' ? ', level with the one before' : ''}`;
  };
  return (
    <Rows
      title={piece.lies === 'lies' ? 'Layers, from below' : 'Layers, from behind'}
      word="layer"
      rows={piece.layers}
      fields={LAYER_FIELDS}
      nameOf={nameOf}
      scale={scale}
      most={MOST_LAYERS}
      onChange={put}
      add={
        <Button look="quiet" onClick={() => put('a layer', [...piece.layers, newLayer()])}>
          <Plus size={15} /> a layer
        </Button>
      }
    />
  );
};
