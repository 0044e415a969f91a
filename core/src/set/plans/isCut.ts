import type { SetDocument } from '../document/document.ts';

/** Whether a part lies cut on the table, in the size that it has now. One that was cut otherwise is planned anew. */
export const isCut = ({ cutting }: SetDocument): ((board: string, id: string, width: number, height: number) => boolean) => {
  const sizes = new Map(cutting.cut.flatMap(({ board, parts }) => parts.map((part) => [`${board} ${part.id}`, part] as const)));
  return (board, id, width, height) => {
    const part = sizes.get(`${board} ${id}`);
    return part !== undefined && part.width === width && part.height === height;
  };
};
