import type { Scale } from '@parlor/core/measure';
import { MOST_SECTIONS, newSection, SECTION_FIELDS, SECTION_WORDS, SECTIONS, type SectionKind, type Turned } from '@parlor/core/piece';
import { useState } from 'react';
import { Button, Picker, Rows } from '../../ui/index.ts';
import { useChangePiece } from './useChangePiece.ts';

const KINDS = SECTIONS.map((kind) => ({ value: kind, label: SECTION_WORDS[kind] }));

/** The sections of a round piece, from below. */
export const Sections = ({ piece, scale }: { readonly piece: Turned; readonly scale: Scale }) => {
  const change = useChangePiece(piece);
  const [kind, setKind] = useState<SectionKind>('disc');
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
        <div className="flex items-end gap-3">
          <div className="flex-1">
            <Picker label="On top of them" value={kind} options={KINDS} onChange={(next) => setKind(next as SectionKind)} />
          </div>
          <Button
            look="quiet"
            onClick={() =>
              put(`a ${SECTION_WORDS[kind]}`, [
                ...piece.sections,
                { ...newSection(kind), across: piece.sections.at(-1)?.across ?? newSection(kind).across },
              ])
            }
          >
            put it there
          </Button>
        </div>
      }
    />
  );
};
