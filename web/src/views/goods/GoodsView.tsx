import { stepsOf } from '@parlor/core/net';
import { type Good, isSmall, panelNames } from '@parlor/core/piece';
import type { GoodSheet } from '@parlor/core/set';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { useDerivedPiece, useScale, useSet } from '../../state/index.ts';
import { Choice, MarginNotes, notesOf, Picker, Spread, usePicturesCame } from '../../ui/index.ts';
import { ClothGood } from './ClothGood.tsx';
import { Decided } from './Decided.tsx';
import { FlatNet } from './FlatNet.tsx';
import { Follows } from './Follows.tsx';
import { GoodsTray } from './GoodsTray.tsx';
import { Heading } from './Heading.tsx';
import { OddGood } from './OddGood.tsx';
import { PanelArt } from './PanelArt.tsx';
import { useChangeGood, useSheets } from './useGood.ts';

const nameOf = ({ net, sheet }: GoodSheet, apart: boolean): string => (apart ? `${net.name}, no. ${sheet.number + 1}` : net.name);

const PaperGood = ({ good }: { readonly good: Good }) => {
  const piece = useDerivedPiece(good.id);
  const sheets = useSheets(piece);
  const scale = useScale();
  const change = useChangeGood(good.id);
  const came = usePicturesCame();
  const [key, setKey] = useState<string | null>(null);
  const [panel, setPanel] = useState<string | null>(null);
  const sheet = sheets.find((each) => each.key === key) ?? sheets[0];
  const panels = useMemo(() => (sheet ? panelNames(sheet.net) : []), [sheet]);
  const chosen = panel && panels.includes(panel) ? panel : (panels[0] ?? null);
  const apart = new Set(sheets.map(({ net }) => net.name)).size < sheets.length;
  return (
    <Spread
      leftLabel="What you decide about the small good"
      rightLabel="What follows"
      left={
        <div className="flex flex-col h-full">
          <Heading good={good} again={{ seed: good.seed + 1 }} />
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
          <MarginNotes notes={notesOf(piece?.findings ?? [])} piece={piece} />
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
          What is folded from paper, sewn of cloth, or put together of this and that. Choose one to begin with.
        </p>
        <GoodsTray />
      </div>
    }
    right={<p className="font-hand text-graphite mt-16">It comes here as it will be: folded, sewn, put together.</p>}
  />
);

/** Small goods: what is folded, sewn or put together lies flat on one page, and is done on the other. */
export const GoodsView = () => {
  const { pieces } = useSet();
  const { pieceId } = useParams();
  const goods = pieces.filter(isSmall);
  const good = goods.find(({ id }) => id === pieceId) ?? goods[0];
  switch (good?.family) {
    case 'paper':
      return <PaperGood key={good.id} good={good} />;
    case 'cloth':
      return <ClothGood key={good.id} thing={good} />;
    case 'odd':
      return <OddGood key={good.id} thing={good} />;
    default:
      return <Empty />;
  }
};
