import { type Finding, type FindingView, viewOfFinding } from '@parlor/core/set';
import { useMemo } from 'react';
import { useAppSelector } from '../state/index.ts';

/** How many notes weigh something, by the view that tells them. */
export const useCounts = (): ReadonlyMap<FindingView, number> => {
  const document = useAppSelector((state) => state.openSet.document);
  const { set, cuttingFindings, roomFindings, coverFindings, pageFindings } = useAppSelector((state) => state.derived);
  return useMemo(() => {
    const families = new Map((document?.pieces ?? []).map((piece) => [piece.id, piece]));
    const findings: readonly Finding[] = [
      ...(set?.pieces.flatMap((piece) => piece.findings) ?? []),
      ...[cuttingFindings, roomFindings, coverFindings, pageFindings].flat(),
    ];
    const counts = new Map<FindingView, number>();
    for (const finding of findings) {
      if (finding.severity === 'note') continue;
      const view = viewOfFinding(finding, families.get(finding.where.pieceId));
      counts.set(view, (counts.get(view) ?? 0) + 1);
    }
    return counts;
  }, [document, set, cuttingFindings, roomFindings, coverFindings, pageFindings]);
};
