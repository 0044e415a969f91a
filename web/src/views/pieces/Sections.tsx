import type { Scale } from '@parlor/core/measure';
import { MOST_SECTIONS, newSection, SECTION_FIELDS, SECTION_WORDS, SECTIONS, type Turned } from '@parlor/core/piece';
import { PutThere, Rows } from '../../ui/index.ts';
import { useChangePiece } from './useChangePiece.ts';

const KINDS = SECTIONS.map((kind) => ({ value: kind, label: SECTION_WORDS[kind] }));

/** The sections of a round piece, from below. */
export const Sections = ({ piece, scale }: { readonly piece: Turned; readonly scale: Scale }) => {
  const change = useChangePiece(piece);
  const put = (words: string, sections: Turned['sections']) => change(words, ['sections'], sections);
  return (
    <Rows
      title="Sections, from below"
      word="section"
      rows={piece.sections}
      fields={SECTION_FIELDS}
      nameOf={(section) => SECTION_WORDS[section.kind]}
      scale={scale}
      most={MOST_SECTIONS}
      onChange={put}
      add={
        <PutThere
          label="On top of them"
          options={KINDS}
          onPut={(kind) =>
            put(`a ${SECTION_WORDS[kind]}`, [
              ...piece.sections,
              { ...newSection(kind), across: piece.sections.at(-1)?.across ?? newSection(kind).across },
            ])
          }
        />
      }
    />
  );
};
