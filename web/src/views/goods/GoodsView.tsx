import { stepsOf } from '@parlor/core/net';
import { type Good, panelNames } from '@parlor/core/piece';
import type { GoodSheet } from '@parlor/core/set';
import { Copy, Plus, Trash2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useDerivedPiece, useEdit, useScale, useSet } from '../../state/index.ts';
import { Button, Choice, MarginNote, Picker, PieceTickets, Sheet, Spread, TextField, usePicturesCame } from '../../ui/index.ts';
import { Decided } from './Decided.tsx';
import { FlatNet } from './FlatNet.tsx';
import { Follows } from './Follows.tsx';
import { GoodsTray } from './GoodsTray.tsx';
import { PanelArt } from './PanelArt.tsx';
import { useChangeGood, useSheets } from './useGood.ts';

/** The small goods of the set as tickets, and the way to a new one. */
const GoodsStrip = ({ current }: { readonly current: string }) => {
  const [open, setOpen] = useState(false);
  return (
    <div className="flex items-center gap-2 mb-2">
      <Button look="main" className="px-3.5!" aria-haspopup="dialog" onClick={() => setOpen(true)}>
        <Plus size={18} />
        small good
      </Button>
      <PieceTickets current={current} view="goods" />
      <Sheet title="A small thing to start from" open={open} onOpenChange={setOpen} wide>
        <GoodsTray onTaken={() => setOpen(false)} />
      </Sheet>
    </div>
  );
};

const nameOf = ({ net, sheet }: GoodSheet, apart: boolean): string => (apart ? `${net.name}, no. ${sheet.number + 1}` : net.name);

const One = ({ good }: { readonly good: Good }) => {
  const piece = useDerivedPiece(good.id);
  const sheets = useSheets(piece);
  const scale = useScale();
  const edit = useEdit();
  const change = useChangeGood(good.id);
  const came = usePicturesCame();
  const navigate = useNavigate();
  const { setId } = useParams();
  const { pieces } = useSet();
  const [key, setKey] = useState<string | null>(null);
  const [panel, setPanel] = useState<string | null>(null);
  const sheet = sheets.find((each) => each.key === key) ?? sheets[0];
  const panels = useMemo(() => (sheet ? panelNames(sheet.net) : []), [sheet]);
  const chosen = panel && panels.includes(panel) ? panel : (panels[0] ?? null);
  const apart = new Set(sheets.map(({ net }) => net.name)).size < sheets.length;
  const remove = (): void => {
    edit(`${good.name} taken away`, { kind: 'remove-piece', id: good.id });
    void navigate(`/sets/${setId}/goods`);
  };
  const again = (): void => {
    const mark = Math.max(0, ...pieces.map((each) => each.mark)) + 1;
    const next = { ...good, id: crypto.randomUUID(), mark, seed: good.seed + 1 };
    edit(`${good.name} once more`, { kind: 'add-piece', at: pieces.length, piece: next });
    void navigate(`/sets/${setId}/goods/${next.id}`);
  };
  return (
    <Spread
      leftLabel="What you decide about the small good"
      rightLabel="What follows"
      left={
        <div className="flex flex-col h-full">
          <GoodsStrip current={good.id} />
          <header className="flex items-start gap-1">
            <div className="flex-1 min-w-0">
              <TextField
                title
                label="Name of the small good"
                value={good.name}
                onChange={(name) => change(`the name of ${good.name}`, { name })}
              />
            </div>
            <Button look="quiet" className="px-2.5!" aria-label={`${good.name} once more`} title="Another like it" onClick={again}>
              <Copy size={18} />
            </Button>
            <Button
              look="quiet"
              className="px-2.5!"
              aria-label={`Take ${good.name} away`}
              title="Take it away; undo brings it back"
              onClick={remove}
            >
              <Trash2 size={18} />
            </Button>
          </header>
          {sheet ? (
            <>
              <div className="relative h-72 shrink-0 my-1">
                <FlatNet
                  sheet={sheet}
                  panel={chosen}
                  came={came}
                  onPanel={(name) => {
                    setKey(sheet.key);
                    setPanel(name);
                  }}
                />
              </div>
              {sheets.length > 1 &&
                (sheets.length <= 4 ? (
                  <Choice
                    label="Net in hand"
                    hideLabel
                    value={sheet.key}
                    options={sheets.map((each) => ({ value: each.key, label: nameOf(each, apart) }))}
                    onChange={setKey}
                  />
                ) : (
                  <Picker
                    label="Net in hand"
                    value={sheet.key}
                    options={sheets.map((each) => ({ value: each.key, label: nameOf(each, apart) }))}
                    onChange={setKey}
                  />
                ))}
            </>
          ) : (
            <p className="font-hand text-graphite p-8">
              {piece ? 'It cannot be folded as it is; see the note on the right.' : 'drawing it …'}
            </p>
          )}
          <Decided good={good} onChange={change} />
          {scale && chosen && <PanelArt good={good} panels={panels} panel={chosen} scale={scale} onPanel={setPanel} onChange={change} />}
        </div>
      }
      right={
        piece && sheet ? (
          <Follows
            key={good.id}
            good={good}
            piece={piece}
            sheets={sheets}
            sheet={sheet}
            folds={Math.max(0, ...stepsOf(sheet.sheet.net.hinges).map((step) => step + 1))}
            onTouch={(name, touched) => {
              setKey(touched.key);
              setPanel(name);
            }}
          />
        ) : (
          <ul className="space-y-3" aria-label="Margin notes" data-testid="notes">
            {(piece?.findings ?? []).map((finding, index) => (
              <MarginNote key={`${finding.code} ${index}`} finding={finding} />
            ))}
          </ul>
        )
      }
    />
  );
};

const Empty = () => (
  <Spread
    leftLabel="What you decide about small goods"
    rightLabel="What follows"
    left={
      <div>
        <h1 className="text-title mt-4">Small goods</h1>
        <p className="mt-1 mb-4 max-w-sm">
          Boxes, letters, books, cans: what is folded from paper and stands about. Choose one to begin with.
        </p>
        <GoodsTray />
      </div>
    }
    right={
      <p className="font-hand text-graphite mt-16">
        Its net comes here, and folds; what is printed on it is the right way up, and the right size.
      </p>
    }
  />
);

/** Small goods of paper: the net flat on one page, folding on the other. */
export const GoodsView = () => {
  const { pieces } = useSet();
  const { pieceId } = useParams();
  const goods = pieces.filter((piece): piece is Good => piece.family === 'paper');
  const good = goods.find(({ id }) => id === pieceId) ?? goods[0];
  return good ? <One key={good.id} good={good} /> : <Empty />;
};
